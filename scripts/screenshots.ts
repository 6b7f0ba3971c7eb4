import { openBrowser, openPage } from '../e2e/browser';

/**
 * Takes the pictures of docs/screenshots from a running demo: tsx scripts/screenshots.ts ADDRESS [NAME ...]. `people` wants accounts on, and RUNG_SIGN_IN with the address and
 * the password of an owner, a colon between.
 */
const views: Record<
  string,
  {
    path: string;
    width?: number;
    height?: number;
    type?: [selector: string, text: string];
    /** A file that is opened on the page. */
    file?: string;
    waitMs?: number;
  }
> = {
  home: { path: '/', waitMs: 12_000 },
  build: { path: '/b/belfry-six' },
  ladder: { path: '/b/belfry-six/ladder', waitMs: 12_000 },
  board: { path: '/b/belfry-six/board/copperwren-sill-45' },
  hookup: { path: '/b/belfry-six/hookup/tarnfield-keel-f7?part=prism-air' },
  set: {
    path: '/b/belfry-six/hookup/quillon-turnpike~quillon-girt-50~marlpit-weir-12',
    height: 1250,
    waitMs: 12_000,
  },
  brief: { path: '/b/belfry-six/brief' },
  phone: { path: '/b/belfry-six/hookup/tarnfield-keel-f7?part=plumb-gps', width: 390, height: 844 },
  shelf: { path: '/b/belfry-six/shelf', waitMs: 6000 },
  editor: {
    path: '/b/belfry-six/shelf/oxbow-mullion',
    file: 'demo/pages/marsh-wren.jpg',
    waitMs: 60_000,
  },
  compare: {
    path: '/b/belfry-six/compare?boards=tarnfield-keel-f7,copperwren-sill-45,marlpit-rafter,dunmarrow-fen-f4',
  },
  trade: { path: '/b/belfry-six/trade', waitMs: 9000 },
  questions: { path: '/b/belfry-six/questions', waitMs: 25_000 },
  basket: { path: '/b/belfry-six/basket' },
  sheet: { path: '/b/saltgrass/sheet', waitMs: 15_000 },
  iron: { path: '/b/belfry-six/sheet?board=tarnfield-keel-f7&walk=true' },
  bench: { path: '/b/belfry-six/bench?scene=meter' },
  log: { path: '/b/belfry-six/log', waitMs: 15_000 },
  people: { path: '/people' },
};

const [address, ...names] = process.argv.slice(2);
const folder = process.env.SHOTS ?? 'docs/screenshots';
const { browser, close } = await openBrowser();
const signIn = process.env.RUNG_SIGN_IN;
if (signIn !== undefined) {
  const [email, password] = signIn.split(':');
  const page = await browser.newPage();
  await page.goto(`${address}/sign-in`, { waitUntil: 'networkidle0' });
  await page.type('input[type=email]', email!);
  await page.type('input[type=password]', password!);
  await Promise.all([page.waitForNavigation(), page.keyboard.press('Enter')]);
  await page.close();
}
for (const name of names.length > 0
  ? names
  : Object.keys(views).filter((n) => n !== 'people' || signIn !== undefined)) {
  const view = views[name] ?? { path: name };
  const { page, faults } = await openPage(browser, `${address}${view.path}`);
  await page.setViewport({ width: view.width ?? 1280, height: view.height ?? 800 });
  if (view.file) await (await page.waitForSelector('input[type=file][accept*=pdf]'))!.uploadFile(view.file);
  // No picture of a shelf that is still climbing.
  if (await page.$('[aria-label="Stages"]'))
    await page.waitForSelector('[aria-label="Stages"][aria-busy="false"]', { timeout: 120_000 });
  await new Promise((r) => setTimeout(r, view.waitMs ?? 1500));
  if (view.type) {
    await page.type(view.type[0], view.type[1]);
    await new Promise((r) => setTimeout(r, 500));
  }
  await page.screenshot({ path: `${folder}/${name.replaceAll(/[^a-z0-9-]+/g, '_')}.png` as `${string}.png` });
  if (faults.length > 0) console.log(name, faults);
  await page.close();
}
await close();
