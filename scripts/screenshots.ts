import { openBrowser, openPage } from '../e2e/browser';

/** Takes the pictures of docs/screenshots from a running demo: tsx scripts/screenshots.ts ADDRESS [NAME ...] */
const views: Record<string, { path: string; height?: number; click?: string }> = {
  home: { path: '/' },
  build: { path: '/b/belfry-six' },
  ladder: { path: '/b/belfry-six/ladder' },
  board: { path: '/b/belfry-six/board/copperwren-sill-45' },
  hookup: { path: '/b/belfry-six/hookup/tarnfield-keel-f7?part=prism-air' },
  fixes: { path: '/b/belfry-six/hookup/copperwren-jamb' },
};

const [address, ...names] = process.argv.slice(2);
const folder = process.env.SHOTS ?? 'docs/screenshots';
const { browser, close } = await openBrowser();
for (const name of names.length > 0 ? names : Object.keys(views)) {
  const view = views[name] ?? { path: name };
  const { page, faults } = await openPage(browser, `${address}${view.path}`);
  await page.setViewport({ width: 1280, height: view.height ?? 800 });
  await new Promise((r) => setTimeout(r, 900));
  await page.screenshot({ path: `${folder}/${name.replaceAll(/[^a-z0-9-]+/g, '_')}.png` as `${string}.png` });
  if (faults.length > 0) console.log(name, faults);
  await page.close();
}
await close();
