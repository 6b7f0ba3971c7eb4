import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openBrowser, patientPage, waitForText, until } from './browser';
import { clickOn, expectAccessible, kept, visit } from './visit';

let browser: Browser;
let close: () => Promise<void>;
let folder: string;
/** The files that people have: a saved page, a manual, a screenshot of it, a photo of it on a desk, a scan. */
const files = { page: '', saved: '', manual: '', screenshot: '', photo: '', scan: '' };

const pads = [
  'T1,UART1 TX,left',
  'R1,UART1 RX,left',
  '5V,5 V out,left',
  'G,ground,left',
  'R2,UART2 RX,right',
  '9V,9 V out,right',
  'SDA,I2C data,right',
  'SCL,I2C clock,right',
];
const row = (cells: string[]) => `<tr>${cells.map((c) => `<td>${c}</td>`).join('')}</tr>`;
const figures = [
  'Processor,F722',
  'Input,3-6S',
  'UARTs,5',
  'Barometer,yes',
  'Blackbox,16 MB',
  'Size,36 x 36 x 7 mm',
  'USB,Type-C',
];
const words = [
  'JP1 selects the VTX supply: pack / 9 V (default)',
  '3.3 V LDO fed from 5 V',
  'In the box: board, capacitor 35 V 470 uF, soft mounts',
];
const html = (
  style: string,
) => `<!doctype html><html><head><style>html{background:#443}body{font:16px sans-serif;background:#fff;${style}}td{padding:4px 10px}</style></head><body>
  <h1>Marsh Wren F7</h1><table>${figures.map((f) => row(f.split(','))).join('')}${row(['5 V regulator', '2.5 A'])}</table>
  <h2>Pads</h2><table>${pads.map((p) => row(p.split(','))).join('')}</table>${words.map((w) => `<p>${w}</p>`).join('')}</body></html>`;

beforeAll(async () => {
  ({ browser, close } = await openBrowser());
  folder = mkdtempSync(path.join(tmpdir(), 'rung-intake-'));
  for (const [name, file] of Object.entries({
    page: 'page.html',
    saved: 'page.mhtml',
    manual: 'manual.pdf',
    screenshot: 'shot.png',
    photo: 'photo.jpg',
    scan: 'scan.pdf',
  }))
    files[name as keyof typeof files] = path.join(folder, file);
  const page = await patientPage(browser);
  writeFileSync(files.page, html(''));
  await page.setContent(html('margin:30px'));
  await page.pdf({ path: files.manual });
  const { data } = await (await page.createCDPSession()).send('Page.captureSnapshot', { format: 'mhtml' });
  writeFileSync(files.saved, data);
  await page.setViewport({ width: 760, height: 800 });
  const shot = await page.screenshot({ encoding: 'base64' });
  writeFileSync(files.screenshot, Buffer.from(shot, 'base64'));
  await page.setContent(
    html(
      'width:620px;height:760px;margin:90px 80px;padding:20px;transform:perspective(1800px) rotateY(-12deg) rotateX(6deg) rotate(-3deg);filter:blur(0.5px)',
    ),
  );
  await page.setViewport({ width: 860, height: 1000, deviceScaleFactor: 2 });
  await page.screenshot({ path: files.photo, type: 'jpeg', quality: 75 });
  await page.setContent(`<body style="margin:0"><img style="width:100%" src="data:image/png;base64,${shot}">`);
  await page.pdf({ path: files.scan });
  await page.close();
  await visit(browser, '/b/saltgrass/ladder', kept);
});
afterAll(async () => {
  await close();
  rmSync(folder, { recursive: true });
});
const at = <T>(work: (page: Page) => Promise<T>) => visit(browser, '/b/saltgrass/shelf/oxbow-heron-wing', work);
const open = async (page: Page, file: string) =>
  (await page.waitForSelector('input[aria-label="Page, PDF, picture or table"]'))!.uploadFile(file) as Promise<void>;
const readings = (page: Page) =>
  page.$$eval('[aria-label="Figures understood"] [role=row]', (all) =>
    all.map((o) => `${o.children[0]!.textContent} ${o.querySelector('input')!.value} ${o.children[3]!.textContent}`),
  );
const understood = (page: Page) => page.waitForSelector('[aria-label="Figures understood"] [role=row]');

describe('a page from anywhere', () => {
  test.each(['page', 'saved', 'manual'] as const)('%s: its figures are sure, its pads are listed', async (name) => {
    await at(async (page) => {
      await open(page, files[name]);
      await understood(page);
      const found = await readings(page);
      expect(found).toContain('regulator, V@A 5@2.5 sure');
      expect(found).toContain('length 36 sure');
      await waitForText(page, '8 pads listed, 2 ports among them');
      await waitForText(page, 'In the parcel: a capacitor of 470 uF, 35 V and soft mounts');
      await waitForText(page, 'Regulators: 3.3 V, linear, out of 5 V');
      await clickOn(page, 'Add the bridge');
      await page.waitForSelector('[role=group][aria-label="JP1"]');
      await expectAccessible(page);
    });
  });

  test.each(['screenshot', 'photo', 'scan'] as const)(
    '%s: its print is read, and nothing of it is called sure',
    async (name) => {
      await at(async (page) => {
        await open(page, files[name]);
        await understood(page);
        const found = await readings(page);
        const said = (words: string) => found.some((f) => f.startsWith(words));
        const read = [
          'processor F7',
          'fewest cells 3',
          'serial ports 5',
          'barometer yes',
          'storage 16',
          'length 36',
          'USB plug C',
        ].filter(said);
        expect(read.length, found.join('; ')).toBeGreaterThanOrEqual(5);
        expect(found.filter((f) => / sure/.test(f))).toEqual([]);
        await clickOn(page, 'Put away');
      });
    },
  );

  test('a price whose money the page does not name is taken once it is said', async () => {
    await at(async (page) => {
      await page.waitForSelector('[aria-label="Text of the spec sheet"]');
      await page.focus('[aria-label="Text of the spec sheet"]');
      await page.keyboard.sendCharacter('UARTs: 7\nPrice ~~1 499~~ 1 299 kr, frakt 49 kr');
      await waitForText(page, 'Price 1299.00, shipping 49.00. Which money it is the page does not say');
      const offer = '[role=group][aria-label^="Price 1299.00"]';
      const refused = () => page.$eval(`${offer} button`, (b) => (b as HTMLButtonElement).disabled);
      expect(await refused()).toBe(true);
      const [, money] = await page.$$(`${offer} input`);
      await money!.type('sek');
      await page.keyboard.press('Enter');
      await until(page, (at: string) => !document.querySelector(`${at} button`)!.matches(':disabled'), offer);
      await clickOn(page, 'Add the offer');
      await waitForText(page, 'SEK');
    });
  });

  test('what is sure is taken with one key; the figure shows the place on its page', async () => {
    await at(async (page) => {
      await open(page, files.manual);
      await understood(page);
      await page.focus('[aria-label="Figures understood"]');
      await page.keyboard.press('a');
      await waitForText(page, 'Take the 0 that are sure');
      await page.waitForSelector('button[aria-label^="show the line"]');
      // The picture of the page comes a moment later.
      await page.waitForNetworkIdle();
      await page.$eval('button[aria-label^="show the line"]', (b) => (b as HTMLElement).click());
      await page.waitForSelector('[role=dialog] [data-testid=marked-place]');
      await waitForText(page, 'manual.pdf, page 1');
      await expectAccessible(page);
    });
  });

  test('what cannot be read says so in a sentence, and keeps the page', async () => {
    const bad = {
      'locked.bin': Buffer.from([0, 1, 2, 3, 0, 0]),
      'broken.pdf': Buffer.from('%PDF-1.7\nnothing'),
      'empty.txt': Buffer.alloc(0),
      'broken.png': Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]),
      'broken.xlsx': Buffer.from('PK\u0003\u0004nothing'),
      'empty.mhtml': Buffer.from(
        'From: x\r\nMIME-Version: 1.0\r\nContent-Type: multipart/related; boundary="b"\r\n\r\n--b--',
      ),
    };
    const sentences = {
      'locked.bin': 'is neither text, a web page',
      'broken.pdf': 'This PDF cannot be opened',
      'empty.txt': 'is empty',
      'broken.png': 'The picture cannot be read',
      'broken.xlsx': 'cannot be opened as a table',
      'empty.mhtml': 'holds no page that can be read',
    };
    await at(async (page) => {
      for (const [name, bytes] of Object.entries(bad)) {
        const file = path.join(folder, name);
        writeFileSync(file, bytes);
        await open(page, file);
        await until(
          page,
          (s) => document.querySelector('section [role=alert]')?.textContent?.includes(s),
          sentences[name as keyof typeof sentences],
        );
      }
    });
  });
});
