import { startCluster } from './cluster.mjs';
import { installPackages } from './install.mjs';
import { startShopProcess } from './shop.mjs';
import { up } from './up.mjs';

installPackages();
if (process.env.DATABASE_URL) {
  // A database of one's own gets no demo data and no invented shop.
  await up({ url: process.env.DATABASE_URL });
} else {
  const cluster = await startCluster('cluster');
  const shop = process.env.RUNG_SHOP_URL ? null : await startShopProcess();
  if (shop) process.env.RUNG_SHOP_URL = shop.address;
  const close = () => {
    shop?.close();
    cluster.stop();
  };
  await up({ url: cluster.url, demo: true, close });
}
