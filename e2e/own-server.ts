/** Files of screen tests run side by side, each on one of the servers that `npm test` has started, with the database behind it. */
const servers = JSON.parse(process.env.RUNG_SERVERS ?? '[]') as { address: string; url: string }[];
const mine = servers[(Number(process.env.VITEST_POOL_ID ?? 1) - 1) % servers.length];
if (!mine) throw new Error('Screen tests want a running Rung: start them by npm test.');
process.env.RUNG_ADDRESS = mine.address;
process.env.TEST_DATABASE_URL = mine.url;
