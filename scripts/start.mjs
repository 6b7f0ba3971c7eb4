import { installPackages } from './install.mjs';
import { stop } from './run.mjs';
import { up } from './up.mjs';

/** Rung on a database of one's own: nothing is loaded into it, no shop is asked but that of RUNG_SHOP_URL, and only this machine is answered. */
installPackages();
if (!process.env.DATABASE_URL)
  stop(
    'DATABASE_URL is not set. Set it to the address of a PostgreSQL database, or try Rung with "npm run demo", which brings one of its own.',
  );
await up({ url: process.env.DATABASE_URL });
