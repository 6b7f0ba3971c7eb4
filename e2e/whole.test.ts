import type { Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import { patientPage, waitForText, goTo, reload, until } from './browser';
import { addressHas, ask, clickOn, expectAccessible, useBrowser, ranked } from './visit';

const { browser, at } = useBrowser(['belfry-six', 'saltgrass']);
const path = (page: Page) => new URL(page.url()).pathname;
const menu = async (page: Page, words: string) => {
  await until(page, (w) => [...document.querySelectorAll('[role^=menuitem]')].some((m) => m.textContent === w), words);
  await page.evaluate(
    (w) => [...document.querySelectorAll<HTMLElement>('[role^=menuitem]')].find((m) => m.textContent === w)!.click(),
    words,
  );
};
const remove = async (id: string) => {
  const { version } = (await (await ask(`/api/builds/${id}`)).json()) as { version: number };
  await ask(`/api/builds/${id}`, { method: 'DELETE', headers: { 'if-match': String(version) } });
};

describe('the first five minutes', () => {
  test('three questions make a build with its parts; a board that carries it is picked where it is read', async () => {
    let acts = 0;
    const act = async (page: Page, words: string) => {
      await clickOn(page, words);
      acts += 1;
    };
    await at('/', async (page) => {
      await waitForText(page, '1. What flies?');
      await act(page, 'a quad');
      await act(page, 'five-inch propellers');
      for (const [thing, want] of [
        ['a radio receiver', 'to buy'],
        ['an analogue camera with its video transmitter', 'to buy'],
        ['a buzzer to find it by', 'at home'],
      ] as const) {
        await page.evaluate(
          (g, w) =>
            [...document.querySelectorAll(`[role=group][aria-label="${g}"] button`)]
              .find((b) => b.textContent === w)!
              .dispatchEvent(new MouseEvent('click', { bubbles: true })),
          thing,
          want,
        );
        acts += 1;
      }
      await act(page, 'Start the build');
      await until(page, () => location.pathname.startsWith('/b/'));
      await waitForText(page, 'are only what is usual');
      await waitForText(page, 'Video transmitter');
      const id = path(page).split('/')[2]!;
      await goTo(page, `${process.env.RUNG_ADDRESS}/b/${id}/ladder`);
      acts += 1;
      await page.waitForSelector('[data-row]');
      await act(page, 'Pick ');
      await waitForText(page, 'picked on');
      await page.waitForSelector('[data-save="saved"]');
      await new Promise((r) => setTimeout(r, 900));
      const { build } = (await (await ask(`/api/builds/${id}`)).json()) as {
        build: { picks: unknown[]; parts: { owned: boolean; peripheral: { kind: string } }[] };
      };
      expect(build.picks).toHaveLength(1);
      expect(build.parts.map((p) => [p.peripheral.kind, p.owned])).toEqual([
        ['receiver', false],
        ['camera', false],
        ['video transmitter', false],
        ['buzzer', true],
      ]);
      expect(acts).toBeLessThan(60);
      await remove(id);
    });
  });

  test('a name that no library has becomes a part of one’s own, of the kind that its words name', async () => {
    const { id } = (await (
      await ask('/api/builds', { method: 'POST', body: JSON.stringify({ name: 'Own Name' }) })
    ).json()) as { id: string };
    await at(`/b/${id}`, async (page) => {
      await page.waitForSelector('#add-part');
      await page.type('#add-part', 'Zephyr 9 receiver');
      await waitForText(page, 'Make “Zephyr 9 receiver” a part of my own');
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-part]');
      await waitForText(page, 'Kind: it is wired as most of its kind are');
      expect(await page.$eval('[data-part]', (e) => (e as HTMLElement).innerText)).toContain('receiver');
    });
    await remove(id);
  });

  test('the way round goes over the real screens and can be left', async () => {
    await at('/b/belfry-six', async (page) => {
      await page.keyboard.press('?');
      await clickOn(page, 'Show me round');
      await waitForText(page, '1 of 7');
      await page.waitForSelector('.toured');
      await clickOn(page, 'Next');
      await until(page, () => location.pathname.endsWith('/ladder'));
      await waitForText(page, '2 of 7');
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await until(page, () => !document.querySelector('[aria-label="Tour"]'));
    });
  });
});

describe('how every build stands', () => {
  test('the first page counts who fits, names the next act, and tells what moved', async () => {
    await at('/', async (page) => {
      await until(page, () => /\d+ fit of \d+ boards by themselves/.test(document.body.innerText));
      await waitForText(page, 'Next: ');
      // The sets are searched behind that, build by build, and what has been found is known at the next visit.
      await until(page, () => /\d+ fit of \d+ boards and the \d+ best sets/.test(document.body.innerText));
      // It is what was kept that is shown: marked, it comes back with its mark.
      await until(page, async () => {
        const open = indexedDB.open('rung-stands');
        await new Promise((done) => (open.onsuccess = done));
        const store = open.result.transaction('stands', 'readwrite').objectStore('stands');
        let marked = 0;
        await new Promise((done) => {
          store.openCursor().onsuccess = (event) => {
            const cursor = (event.target as IDBRequest<IDBCursorWithValue | null>).result;
            if (!cursor) return done(null);
            const at = cursor.value as { fits?: number };
            if (at.fits !== undefined) {
              cursor.update({ ...at, fits: 777 });
              marked += 1;
            }
            cursor.continue();
          };
        });
        await new Promise((done) => (store.transaction.oncomplete = done));
        open.result.close();
        return marked > 0;
      });
      await reload(page);
      await waitForText(page, '777 fit of');
      // What other tests have changed by then is told apart from what only came.
      await until(page, () => /boards new|All of it has come/.test(document.body.innerText));
      await expectAccessible(page);
    });
  });
});

describe('in one place on every screen', () => {
  test('Ctrl+K finds a screen, a board, a word; Enter goes there', async () => {
    const find = async (page: Page, words: string) => {
      await page.keyboard.down('Control');
      await page.keyboard.press('k');
      await page.keyboard.up('Control');
      await page.waitForSelector('[role=dialog] input');
      await page.keyboard.type(words);
      await page.waitForSelector('[role=option]');
    };
    await at('/b/belfry-six/questions', async (page) => {
      await find(page, 'keel f7 45');
      await expectAccessible(page);
      await page.keyboard.press('Enter');
      await until(page, () => location.pathname.includes('/board/tarnfield-keel-f7'));
      await find(page, 'drop-out');
      await page.keyboard.press('Enter');
      await until(page, () => location.pathname === '/glossary');
    });
  });

  test('what a screen shows is taken out from one menu: as CSV, as text, and the build itself with a checksum', async () => {
    await at('/b/belfry-six/ladder', async (page) => {
      await page.waitForSelector('[data-row]');
      await page.evaluate(() => {
        const w = window as unknown as { kept: Blob[] };
        w.kept = [];
        const make = URL.createObjectURL.bind(URL);
        URL.createObjectURL = (blob) => (w.kept.push(blob as Blob), make(blob));
      });
      const taken = () => page.evaluate(() => (window as unknown as { kept: Blob[] }).kept.at(-1)!.text());
      await clickOn(page, 'Take out');
      await page.waitForSelector('[role=menu]');
      await expectAccessible(page);
      await menu(page, 'Save the ladder as CSV');
      await waitForText(page, 'Saved');
      expect((await taken()).split('\r\n')[0]).toBe('place,board,maker,verdict,rung,reason,to pay EUR,g');
      await new Promise((r) => setTimeout(r, 2_700));
      await clickOn(page, 'Take out');
      await menu(page, 'Save the build as JSON');
      await new Promise((r) => setTimeout(r, 500));
      expect(JSON.parse(await taken())).toMatchObject({ format: 'rung-build', id: 'belfry-six' });
      expect(await taken()).toMatch(/"checksum": ?"[0-9a-f]{64}"/);
    });
  });

  test('units and days as they are liked, on the screens and in the boxes; what is typed in others is understood', async () => {
    await at('/settings', async (page) => {
      await page.waitForSelector('::-p-aria([name="Masses and lengths"][role="combobox"])');
      await page.locator('::-p-aria([name="Masses and lengths"][role="combobox"])').click();
      await page.locator('::-p-aria([name="imperial"][role="option"])').click();
      await waitForText(page, '1.42 x 1.42 in and 0.3 oz');
      await expectAccessible(page);
      await goTo(page, `${process.env.RUNG_ADDRESS}/b/gutterling`);
      await waitForText(page, 'oz at take-off');
      await goTo(page, `${process.env.RUNG_ADDRESS}/settings`);
      await page.locator('::-p-aria([name="Masses and lengths"][role="combobox"])').click();
      await page.locator('::-p-aria([name="metric"][role="option"])').click();
      await waitForText(page, '36 x 36 mm and 8.4 g');
    });
  });
});

describe('the ladder', () => {
  test('the pointer chooses nothing, a click does; its keys leave menus and boxes alone', async () => {
    await at('/b/belfry-six/ladder', async (page) => {
      await page.waitForSelector('[data-row]');
      await until(page, () => document.querySelectorAll('[data-row]').length > 3);
      const strip = (await page.$$('[data-row] svg[role=img]'))[2]!;
      const before = page.url();
      await strip.hover();
      await new Promise((r) => setTimeout(r, 600));
      expect(page.url()).toBe(before);
      await strip.click();
      await until(page, () => new URL(location.href).searchParams.has('rung'));
      const chosen = page.url();
      await page.focus('[aria-label="Filter boards"]');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press('4');
      await new Promise((r) => setTimeout(r, 600));
      expect(new URL(page.url()).searchParams.get('board')).toBe(new URL(chosen).searchParams.get('board'));
    });
  });
});

describe('the order of an earlier visit', () => {
  /** All boards of every order that this browser keeps, called by another name: so that it is seen which order is shown. */
  const marked = (page: Page, name: string) =>
    page.evaluate(async (said) => {
      const open = indexedDB.open('rung-rankings');
      await new Promise((done) => (open.onsuccess = done));
      const store = open.result.transaction('rankings', 'readwrite').objectStore('rankings');
      const all = await new Promise<IDBValidKey[]>((done) => {
        const asked = store.getAllKeys();
        asked.onsuccess = () => done(asked.result);
      });
      for (const key of all) {
        const asked = store.get(key);
        await new Promise((done) => (asked.onsuccess = done));
        const kept = asked.result as { alone?: { boardName: string }[] };
        for (const climb of kept.alone ?? []) climb.boardName = said;
        store.put(kept, key);
      }
      await new Promise((done) => (store.transaction.oncomplete = done));
      open.result.close();
      return all.length - 1;
    }, name);

  test('is shown at once, and never for another build', async () => {
    await at('/b/gutterling/ladder', async (page) => {
      await ranked(page);
      await until(page, async () => (await indexedDB.databases()).some((d) => d.name === 'rung-rankings'));
      await new Promise((r) => setTimeout(r, 2500));
      expect(await marked(page, 'Board of yesterday')).toBeGreaterThan(0);
    });
    await at('/b/gutterling/ladder', async (page) => {
      await waitForText(page, 'Board of yesterday');
      await ranked(page);
    });
    type Kept = { build: { name: string; limits: { takeOffMassG: number; budgetCents: number } }; version: number };
    const kept = (await (await ask('/api/builds/gutterling')).json()) as Kept;
    const change = async (more: object) => {
      const { version } = (await (await ask('/api/builds/gutterling')).json()) as Kept;
      await ask('/api/builds/gutterling', {
        method: 'PUT',
        headers: { 'if-match': String(version) },
        body: JSON.stringify({ ...kept.build, ...more }),
      });
    };
    // Under another name it is still the same order; with another budget it is not.
    await change({ name: 'Gutterling again' });
    await at('/b/gutterling/ladder', (page) => waitForText(page, 'Board of yesterday'));
    await change({ limits: { ...kept.build.limits, budgetCents: kept.build.limits.budgetCents + 1 } });
    await at('/b/gutterling/ladder', async (page) => {
      await ranked(page);
      expect(await page.evaluate(() => document.body.innerText)).not.toContain('Board of yesterday');
    });
    await change({});
  });
});

describe('the shelf', () => {
  test('columns by choice, order by a heading, several boards at once, and a view that is kept', async () => {
    await at('/b/gutterling/shelf', async (page) => {
      await page.waitForSelector('[role=rowheader]');
      await clickOn(page, 'Columns');
      await page.waitForSelector('[role=menuitemcheckbox]');
      await expectAccessible(page);
      await menu(page, 'Mass');
      await page.keyboard.press('Escape');
      await addressHas(page, 'cols', 'kind,verdict,family,ports,mass,known,origins,doubts,price,home');
      await clickOn(page, 'Mass');
      await addressHas(page, 'sort', 'mass');
      // Verdicts still come in, and rows with them: a box is found by its name each time.
      const boxes = await page.$$eval('[role=row] input[aria-label^="Choose "]', (all) =>
        all.map((box) => box.getAttribute('aria-label')!),
      );
      for (const [i, name] of [boxes[1]!, boxes[2]!].entries()) {
        await page.evaluate((n) => document.querySelector<HTMLElement>(`[aria-label="${n}"]`)!.click(), name);
        await waitForText(page, i === 0 ? '1 board chosen' : '2 boards chosen');
      }
      await expectAccessible(page);
      await clickOn(page, 'Views');
      await page.waitForSelector('[role=dialog] input');
      await page.type('[role=dialog] input', 'light ones');
      await page.keyboard.press('Enter');
      await goTo(page, `${process.env.RUNG_ADDRESS}/b/belfry-six/shelf`);
      await clickOn(page, 'Views');
      await clickOn(page, 'light ones');
      await addressHas(page, 'sort', 'mass');
    });
  });
});

describe('open states, checked with axe-core (WCAG 2.2 AA)', () => {
  test.each([
    ['the craft as fields', '/b/saltgrass', 'Change'],
    ['the keys', '/b/saltgrass', '?'],
    ['a list to paste', '/b/saltgrass', 'Paste a list'],
    ['the views of the ladder', '/b/saltgrass/ladder', 'Views'],
    ['what one figure is built on', '/b/saltgrass/board/oxbow-mullion', 'says who?'],
  ])('%s', async (_, where, button) => {
    await at(where, async (page) => {
      await clickOn(page, button);
      await new Promise((r) => setTimeout(r, 500));
      await expectAccessible(page);
    });
  });

  test('a part with its details', async () => {
    await at('/b/saltgrass?part=skein-long', async (page) => {
      await page.waitForSelector('[aria-label^="Details of"]');
      await expectAccessible(page);
    });
  });
});

describe('while the server is away', () => {
  test('all screens of a build that was open are read as they were, also those not looked at; what is typed is kept', async () => {
    const page = await patientPage(browser());
    await goTo(page, `${process.env.RUNG_ADDRESS}/b/attic-mouse/ladder`);
    await until(page, async () => (await caches.keys()).length > 0);
    await until(
      page,
      async () => (await (await caches.open((await caches.keys())[0]!)).match('/b/attic-mouse/log')) !== undefined,
    );
    // What the screens run is kept as they are looked at.
    await goTo(page, `${process.env.RUNG_ADDRESS}/b/attic-mouse`);
    const worker = await browser().waitForTarget((t) => t.type() === 'service_worker');
    const lines = await Promise.all([worker, page.target()].map((target) => target.createCDPSession()));
    await Promise.all(lines.map((line) => line.send('Network.enable')));
    const away = async (offline: boolean) => {
      const how = { offline, latency: 0, downloadThroughput: -1, uploadThroughput: -1 };
      await Promise.all(lines.map((line) => line.send('Network.emulateNetworkConditions', how)));
    };
    await away(true);
    await page.goto(`${process.env.RUNG_ADDRESS}/b/attic-mouse/ladder?q=coracle`);
    await page.waitForSelector('[data-row]');
    await waitForText(page, 'Coracle 12');
    // What has only not come is not taken for empty.
    await page.goto(`${process.env.RUNG_ADDRESS}/b/attic-mouse`);
    await waitForText(page, 'What the build was before cannot be shown: The server does not answer.');
    await away(false);
    await page.locator('::-p-aria([name="Ask again: What the build was before"])').click();
    await until(page, () => !document.body.innerText.includes('What the build was before cannot be shown'));
    await away(true);
    await page.goto(`${process.env.RUNG_ADDRESS}/b/no-such-build`);
    await waitForText(page, 'The server does not answer');
    await away(false);
    await page.close();
  });
});

test('on the first page what did not come is not taken for nothing, and comes when it is asked for again', async () => {
  const page = await patientPage(browser());
  await page.setBypassServiceWorker(true);
  await page.setRequestInterception(true);
  let dead = true;
  page.on('request', (r) => {
    const answered = !dead || !/\/api\/(moved|builds|past)/.test(r.url());
    const body = JSON.stringify({ sentence: 'The database does not answer.' });
    void (answered ? r.continue() : r.respond({ status: 503, contentType: 'application/json', body }));
  });
  await goTo(page, `${process.env.RUNG_ADDRESS}/`);
  const missing = ['Which boards carry them', 'What moved', 'What was removed'];
  for (const what of missing) await waitForText(page, `${what} cannot be shown: The database does not answer.`);
  await expectAccessible(page);
  dead = false;
  for (const what of missing) {
    const again = await page.waitForSelector(`::-p-aria([name="Ask again: ${what}"][role="button"])`);
    // What came before it moves it: a click at a place would miss it.
    await again!.evaluate((button) => (button as HTMLElement).click());
  }
  await until(page, () => !document.body.innerText.includes('cannot be shown'));
  await waitForText(page, ' fit of ');
  await page.close();
});

describe('on paper', () => {
  test('in the dark the ladder is printed in light, with all its rows, a title and a day; then it is as it was', async () => {
    await at('/b/belfry-six/ladder', async (page) => {
      await page.waitForSelector('[data-row]');
      await page.evaluate(() => document.documentElement.setAttribute('data-scheme', 'dark'));
      const look = (event: string) =>
        page.evaluate((name) => {
          window.dispatchEvent(new Event(name));
          return {
            scheme: document.documentElement.getAttribute('data-scheme'),
            rows: document.querySelectorAll('[data-row]').length,
            of: Number(document.querySelector('[role=grid]')!.getAttribute('aria-rowcount')),
          };
        }, event);
      const paper = await look('beforeprint');
      expect([paper.scheme, paper.rows]).toEqual(['light', paper.of]);
      await page.emulateMediaType('print');
      await waitForText(page, 'Belfry Six: Ladder');
      await page.emulateMediaType('screen');
      const { scheme, of } = await look('afterprint');
      expect(scheme).toBe('dark');
      await until(page, (all) => document.querySelectorAll('[data-row]').length < all, of);
    });
  });
});

describe('small and large', () => {
  test.each([
    '/',
    '/b/belfry-six',
    '/b/belfry-six/board/copperwren-sill-45',
    '/b/belfry-six/basket',
    '/b/belfry-six/log',
  ])('at 390 px %s is read without sideways scrolling of the page', async (where) => {
    await at(where, async (page) => {
      await page.setViewport({ width: 390, height: 844 });
      await new Promise((r) => setTimeout(r, 800));
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    });
  });
});
