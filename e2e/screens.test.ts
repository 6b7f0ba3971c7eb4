import type { Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import { waitForText, goTo, reload, until } from './browser';
import { addressHas, ask, clickOn, expectAccessible, useBrowser } from './visit';

const address = process.env.RUNG_ADDRESS!;

const { at } = useBrowser(['belfry-six']);

const saved = (page: Page) => page.waitForSelector('[data-save="saved"]');
const put = (body: object, base: number) =>
  ask(`/api/builds/${(body as { id: string }).id}`, {
    method: 'PUT',
    headers: { 'if-match': String(base) },
    body: JSON.stringify(body),
  });
const stored = async (id: string) =>
  (await (await ask(`/api/builds/${id}`)).json()) as {
    build: { id: string; name: string; craft: string; parts: { id: string; priority: string }[] };
    version: number;
  };
const firstRow = (page: Page) => page.$eval('[role="grid"] [data-row]', (e) => (e as HTMLElement).innerText);

describe('a new build, by keyboard alone', () => {
  test('name it, add parts, see the ladder change, reload: all still there', async () => {
    await at('/', async (page) => {
      await page.focus('form[aria-label="A new build"] input');
      await page.keyboard.type('Heath Runner');
      await page.keyboard.press('Enter');
      await waitForText(page, 'Nothing hangs here yet');
      for (const name of ['Skein Long', 'Plumb Bus']) {
        await page.keyboard.press('/');
        await page.keyboard.type(name);
        await page.waitForSelector('[role="option"]');
        await page.keyboard.press('Enter');
        await page.keyboard.press('Escape');
        await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      }
      await until(page, () => document.querySelectorAll('[data-part]').length === 2);
      await waitForText(page, '2 parts');
      await new Promise((r) => setTimeout(r, 700));
      await saved(page);
      await goTo(page, `${address}/b/heath-runner/ladder?q=sill`);
      await page.waitForSelector('[data-row]');
      expect(await page.$eval('[data-row="copperwren-sill-45"]', (e) => (e as HTMLElement).innerText)).toContain(
        'Ports: Oxbow Plumb Bus needs a CAN bus',
      );
      await goTo(page, `${address}/b/heath-runner`);
      expect(await page.$$eval('[data-part]', (rows) => rows.map((r) => r.getAttribute('data-part')))).toEqual([
        'skein-long',
        'plumb-can',
      ]);
    });
  });

  test('undo takes the last step back and redo brings it again, also on the server', async () => {
    await at('/b/heath-runner', async (page) => {
      await page.click('button[aria-label="Remove Oxbow Plumb Bus"]');
      await until(page, () => document.querySelectorAll('[data-part]').length === 1);
      await page.keyboard.down('Control');
      await page.keyboard.press('z');
      await page.keyboard.up('Control');
      await until(page, () => document.querySelectorAll('[data-part]').length === 2);
      await new Promise((r) => setTimeout(r, 700));
      await saved(page);
    });
    expect((await stored('heath-runner')).build.parts).toHaveLength(2);
  });
});

test('two tabs keep a draft each: the newest goes on here, the other is offered and comes by one click', async () => {
  await at('/b/heath-runner', async (page) => {
    await saved(page);
    await page.evaluate(async () => {
      const { build, version } = (await (await fetch('/api/builds/heath-runner')).json()) as {
        build: object;
        version: number;
      };
      const draft = (tab: string, at: number) =>
        localStorage.setItem(
          `rung:draft:heath-runner:${tab}`,
          JSON.stringify({ build: { ...build, craft: `typed in tab ${tab}` }, base: build, baseVersion: version, at }),
        );
      draft('a', 1_700_000_000_000);
      draft('b', 1_700_000_100_000);
    });
    await page.reload();
    await waitForText(page, 'Typed in another tab, not saved');
    await until(
      page,
      async () =>
        ((await (await fetch('/api/builds/heath-runner')).json()) as { build: { craft: string } }).build.craft ===
        'typed in tab b',
    );
    await page.evaluate(() =>
      [...document.querySelectorAll('button')].find((b) => b.textContent === 'Bring this here')!.click(),
    );
    await new Promise((r) => setTimeout(r, 900));
    await saved(page);
  });
  expect((await stored('heath-runner')).build.craft).toBe('typed in tab a');
});

describe('the ladder', () => {
  test('shows fourteen boards and more at 1280 x 800 without scrolling, the best first', async () => {
    await at('/b/belfry-six/ladder', async (page) => {
      await page.waitForSelector('[data-row]');
      const floor = await page.$eval('section[aria-label="The rung in words"]', (e) => e.getBoundingClientRect().top);
      const seen = await page.$$eval(
        '[data-row]',
        (rows, bottom) => rows.filter((r) => r.getBoundingClientRect().bottom <= bottom).length,
        floor,
      );
      expect(seen).toBeGreaterThanOrEqual(14);
      expect(await firstRow(page)).toContain('Keel F7 45');
    });
  });

  test('arrows, digits and Enter: a rung is read, its figures are sourced, the board opens', async () => {
    await at('/b/belfry-six/ladder?hide=fits+with+work,cannot+say+yet', async (page) => {
      await page.waitForSelector('[data-row]');
      for (const key of ['ArrowDown', 'ArrowDown', 'ArrowUp', 'ArrowUp'] as const) await page.keyboard.press(key);
      await page.keyboard.press('9');
      await waitForText(page, 'over the budget of');
      await addressHas(page, 'rung', '9');
      const name = await page.$eval('[data-current="true"]', (e) => e.getAttribute('data-row'));
      await page.click('section[aria-label="The rung in words"] li button');
      await waitForText(page, 'shop page');
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      await page.keyboard.press('Enter');
      await until(page, (n) => location.pathname.endsWith(`/board/${n}`), name);
      await waitForText(page, 'Claims 8');
    });
  });

  test('the address carries order and filter; sorting by price puts the cheapest first', async () => {
    await at('/b/belfry-six/ladder?sort=price&hide=does+not+fit&q=tarn&of=stack', async (page) => {
      await page.waitForSelector('[data-row]');
      expect(await page.$$eval('[data-row]', (rows) => rows.map((r) => r.getAttribute('data-row')))).toEqual([
        'dunmarrow-tarn-x',
        'tarnfield-keel-f7',
      ]);
    });
  });

  test('a rung that there is not is the nearest there is', async () => {
    for (const [asked, name] of [
      ['11', 'Comforts'],
      ['-3', 'Frame'],
    ])
      await at(`/b/belfry-six/ladder?rung=${asked}`, (page) => waitForText(page, `, ${name}:`));
  });
  test('a change of the build moves the boards at once: 4 cells let the 4-cell stack pass the Pack rung', async () => {
    await at('/b/belfry-six', async (page) => {
      await page.evaluate(() =>
        [...document.querySelectorAll('button')].find((b) => b.textContent === 'Change')!.click(),
      );
      const cells = (await page.waitForSelector('::-p-aria(Cells)'))!;
      await cells.click({ count: 3 });
      await page.keyboard.type('4');
      await waitForText(page, '4 cells, lipo');
      await page.evaluate(() =>
        [...document.querySelectorAll('a')].find((a) => a.textContent?.startsWith('Ladder'))!.click(),
      );
      await page.waitForSelector('[aria-label="Filter boards"]');
      await page.type('[aria-label="Filter boards"]', 'strake');
      await until(
        page,
        () => !document.querySelector('[data-row="pellmere-strake-4"]')?.textContent?.includes('does not fit'),
      );
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      await page.keyboard.down('Control');
      await page.keyboard.press('z');
      await page.keyboard.up('Control');
      await until(page, () =>
        document.querySelector('[data-row="pellmere-strake-4"]')?.textContent?.includes('does not fit'),
      );
      await new Promise((r) => setTimeout(r, 700));
      await saved(page);
    });
  });
});

describe('the hookup', () => {
  test('move a wire by keyboard: its price is shown, the choice is locked, undo takes it back', async () => {
    await at('/b/belfry-six/hookup/tarnfield-keel-f7', async (page) => {
      await page.waitForSelector('svg [role="button"]');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press('ArrowDown');
      await waitForText(page, 'Quillon Prism Air: other pads');
      await waitForText(page, '1 compromise, smallest margin down by');
      await page.focus('[data-choice="supply:pack"]');
      await page.keyboard.press('Enter');
      await waitForText(page, '1 choice is locked; against the free best that costs 1 compromise');
      const joined = (pad: string) =>
        until(
          page,
          (label) =>
            [...document.querySelectorAll('section[aria-label="Joints"] button')].some((b) =>
              b.textContent!.includes(label),
            ),
          pad,
        );
      await joined('VBAT');
      await page.keyboard.down('Control');
      await page.keyboard.press('z');
      await page.keyboard.up('Control');
      await joined('9V');
      await new Promise((r) => setTimeout(r, 700));
      await saved(page);
    });
  });

  test('a pad of the table lights its net in the drawing, and says so; the drawing is saved in ink on white', async () => {
    await at('/b/belfry-six/hookup/tarnfield-keel-f7', async (page) => {
      await page.waitForSelector('section[aria-label="Joints"] button');
      await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('section[aria-label="Joints"] button')]
          .find((b) => b.textContent!.includes('9V'))!
          .click(),
      );
      await waitForText(page, 'One net on 2nd 9V');
      await addressHas(page, 'net', '9v');
      const lit = await page.$$eval('.drawing [data-pad] rect[fill="var(--copper)"]', (pads) => pads.length);
      expect(lit).toBe(1);
      await page.keyboard.press('Escape');
      await waitForText(page, 'Pick a part or a pad');
      const text = await page.evaluate(async () => {
        const kept: Blob[] = [];
        const make = URL.createObjectURL.bind(URL);
        URL.createObjectURL = (blob) => (kept.push(blob as Blob), make(blob));
        [...document.querySelectorAll('button')].find((b) => b.textContent === 'Take out')!.click();
        await new Promise((r) => setTimeout(r, 200));
        [...document.querySelectorAll<HTMLElement>('[role=menuitem]')]
          .find((m) => m.textContent === 'Save the top as SVG')!
          .click();
        await new Promise((r) => setTimeout(r, 200));
        return kept[0]!.text();
      });
      expect(text).toMatch(/^<svg[^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
      expect(text).not.toContain('var(');
    });
  });

  test('a board that stops: F and Enter accept the cheapest fix, the board then fits, and it can be taken back', async () => {
    await at('/b/belfry-six/hookup/copperwren-jamb', async (page) => {
      await waitForText(page, 'Stops at Load');
      await waitForText(page, 'Feed Quillon Prism Air from an external 9 V regulator on the pack: €6.50, 4 g');
      await page.keyboard.press('f');
      await page.keyboard.press('Enter');
      await waitForText(page, 'Accepted for this board');
      await until(page, () => !document.body.innerText.includes('Stops at Load'));
      await waitForText(page, 'external 9 V regulator');
      await page.evaluate(() =>
        [...document.querySelectorAll('button')].find((b) => b.textContent === 'Take back')!.click(),
      );
      await waitForText(page, 'Stops at Load');
      await new Promise((r) => setTimeout(r, 700));
      await saved(page);
    });
  });
});

describe('nothing typed is lost', () => {
  test('two tabs change different things: both stand, it is said, and undo takes back only what was done here', async () => {
    await at('/b/heath-runner', async (page) => {
      const { build, version } = await stored('heath-runner');
      expect((await put({ ...build, name: 'Heath Walker' }, version)).status).toBe(200);
      await page.click('[data-part="plumb-can"] [role="radio"]:nth-child(2)');
      await waitForText(page, 'Taken in from another tab or person: the name.');
      await saved(page);
      const both = await stored('heath-runner');
      expect([both.build.name, both.build.parts[1]!.priority]).toEqual(['Heath Walker', 'should']);
      await clickOn(page, 'Undo');
      await until(
        page,
        async (seen) =>
          ((await (await fetch('/api/builds/heath-runner')).json()) as { version: number }).version > seen,
        both.version,
      );
      const undone = await stored('heath-runner');
      expect([undone.build.name, undone.build.parts[1]!.priority]).toEqual(['Heath Walker', build.parts[1]!.priority]);
    });
  });

  test('two tabs change the same thing: it is named, and either can be kept, with all else of both', async () => {
    for (const [keep, expected] of [
      ['Keep mine', 'should'],
      ['Take theirs', 'nice'],
    ] as const)
      await at('/b/heath-runner', async (page) => {
        const { build, version } = await stored('heath-runner');
        const parts = build.parts.map((p) => (p.id === 'plumb-can' ? { ...p, priority: 'nice' } : p));
        expect((await put({ ...build, craft: keep, parts }, version)).status).toBe(200);
        await page.click('[data-part="plumb-can"] [role="radio"]:nth-child(2)');
        await waitForText(page, 'Oxbow Plumb Bus. All else of both is put together');
        await clickOn(page, keep);
        await saved(page);
        const now = await stored('heath-runner');
        expect([now.build.craft, now.build.parts[1]!.priority]).toEqual([keep, expected]);
        expect((await put(build, now.version)).status).toBe(200);
      });
  });

  test('what was done elsewhere comes in when the tab is looked at again', async () => {
    await at('/b/heath-runner', async (page) => {
      const { build, version } = await stored('heath-runner');
      expect((await put({ ...build, craft: 'for the heath' }, version)).status).toBe(200);
      await page.evaluate(() => window.dispatchEvent(new Event('focus')));
      await waitForText(page, 'Taken in from another tab or person: what it is for.');
      await saved(page);
      expect((await stored('heath-runner')).version).toBe(version + 1);
    });
  });

  test('a build removed elsewhere: the open tab says so, and puts it back as it is there', async () => {
    const { build } = await stored('heath-runner');
    expect(
      (await ask('/api/import', { method: 'POST', body: JSON.stringify({ ...build, id: 'short-lived' }) })).status,
    ).toBe(200);
    await at('/b/short-lived', async (page) => {
      const { version } = await stored('short-lived');
      const gone = await ask('/api/builds/short-lived', { method: 'DELETE', headers: { 'if-match': String(version) } });
      expect(gone.status).toBe(200);
      await page.click('[data-part="plumb-can"] [role="radio"]:nth-child(3)');
      await waitForText(page, 'This build was removed in the meantime');
      await page.evaluate(() =>
        [...document.querySelectorAll('button')].find((b) => b.textContent === 'Put it back as it is here')!.click(),
      );
      await saved(page);
    });
    const back = await stored('short-lived');
    expect([back.build.parts[1]!.priority, back.version]).toEqual(['nice', 2]);
    await ask('/api/builds/short-lived', { method: 'DELETE', headers: { 'if-match': '2' } });
  });

  test('a server that does not answer: the change survives a reload and is saved when it is back', async () => {
    await at('/b/heath-runner', async (page) => {
      await page.setRequestInterception(true);
      let dead = true;
      page.on('request', (r) => void (dead && r.method() === 'PUT' ? r.abort() : r.continue()));
      await page.click('[data-part="plumb-can"] [role="radio"]:nth-child(3)');
      await waitForText(page, 'Kept in this browser');
      await reload(page);
      expect(
        await page.$eval('[data-part="plumb-can"] [role="radio"]:nth-child(3)', (e) => e.getAttribute('aria-checked')),
      ).toBe('true');
      dead = false;
      await saved(page);
      await until(page, () => document.querySelector('[data-save]')?.getAttribute('data-save') === 'saved');
    });
    await new Promise((r) => setTimeout(r, 500));
    expect((await stored('heath-runner')).build.parts[1]!.priority).toBe('nice');
  });
});

describe('bad input gets a sentence', () => {
  const post = (path: string, body: BodyInit) =>
    ask(path, { method: 'POST', body }).then(async (r) => ({
      status: r.status,
      said: (await r.json()) as { sentence: string; faults?: { field: string }[] },
    }));
  test('a file that is not JSON, of the wrong shape, or far too large', async () => {
    expect(await post('/api/import', 'not json')).toMatchObject({ status: 422, said: { faults: [{ field: '' }] } });
    expect(await post('/api/import', '{"format":"rung-board","version":1}')).toMatchObject({ status: 422 });
    const huge = await post('/api/import', 'x'.repeat(51 * 1024 * 1024));
    expect([huge.status, huge.said.sentence]).toEqual([
      413,
      'The file is larger than 50 MB. Split it, or use the command line. Nothing was changed.',
    ]);
  });
  test('a build without a name, a save without a version, an address that names nothing', async () => {
    expect((await post('/api/builds', '{"name":"  "}')).said.sentence).toBe(
      'A build needs a name of 1 to 80 characters.',
    );
    const { build } = await stored('gutterling');
    expect((await ask(`/api/builds/gutterling`, { method: 'PUT', body: JSON.stringify(build) })).status).toBe(428);
    expect((await ask(`/b/nothing-here`)).status).toBe(404);
  });
  test('a form says under its box what is missing or not understood, goes there, and sends nothing', async () => {
    await at('/b/gutterling/shelf/tarnfield-plover', async (page) => {
      const form = 'form[aria-label="An offer you have seen"]';
      const atHand = () =>
        page.evaluate(() => document.activeElement?.closest('.MuiTextField-root')?.textContent ?? '');
      const offers = () => page.$$eval('section[aria-label=Offers] tr', (rows) => rows.length);
      await page.waitForSelector(`${form} input`);
      const before = await offers();
      await page.type(`${form} input`, 'Seen Shop');
      await page.keyboard.press('Enter');
      await waitForText(page, 'A price');
      expect(await atHand()).toMatch(/^Price/);
      await page.keyboard.type('12 quid');
      await page.keyboard.press('Enter');
      await until(page, () => document.activeElement?.getAttribute('aria-invalid') === 'true');
      expect(await atHand()).toContain('a number');
      await expectAccessible(page);
      expect(await offers()).toBe(before);
      for (let letter = 0; letter < 5; letter++) await page.keyboard.press('Backspace');
      await page.keyboard.type(',5');
      await page.keyboard.press('Enter');
      await waitForText(page, '€12.50');
      // A currency that is half typed is none yet.
      await page.focus(`${form} div:nth-of-type(5) input`);
      for (let letter = 0; letter < 3; letter++) await page.keyboard.press('Backspace');
      await page.keyboard.type('us');
      expect(await page.$eval(form, (f) => f.textContent)).toContain('US');
      await page.keyboard.type('d');
      await until(page, (f) => document.querySelector(f)!.textContent!.includes('$'), form);
      for (let letter = 0; letter < 3; letter++) await page.keyboard.press('Backspace');
      await page.keyboard.type('EUR');
      // The boxes are for the next one.
      expect(await page.$$eval(`${form} input`, (boxes) => boxes.map((b) => b.value))).toEqual(['', '', '', '', 'EUR']);
    });
    await at('/b/gutterling/log?board=tarnfield-plover', async (page) => {
      await waitForText(page, 'Board, pad or step');
      const boxes = () => page.$$('form[aria-label="New entry"] input[type="text"]');
      await (await boxes())[0]!.type('Plus to minus');
      await (await boxes())[1]!.type('12 ohm');
      await page.keyboard.press('Enter');
      await waitForText(page, 'a number in V or mV');
      expect(await page.$('[data-entry]')).toBeNull();
    });
  });
});

describe('WCAG 2.2 AA, checked with axe-core', () => {
  test.each([
    '/',
    '/glossary',
    '/b/belfry-six',
    '/b/belfry-six/ladder',
    '/b/belfry-six/board/copperwren-sill-45',
    '/b/belfry-six/hookup/tarnfield-keel-f7?part=prism-air',
    '/b/belfry-six/hookup/dunmarrow-fen-f4',
  ])('%s', async (path) => {
    await at(path, async (page) => {
      await expectAccessible(page);
    });
  });

  test('a phone of 390 px can read a board without sideways scrolling', async () => {
    await at('/b/belfry-six/board/copperwren-sill-45', async (page) => {
      await page.setViewport({ width: 390, height: 844 });
      await new Promise((r) => setTimeout(r, 300));
      expect(
        await page.evaluate(
          () => document.querySelector('main')!.scrollWidth - document.querySelector('main')!.clientWidth,
        ),
      ).toBeLessThanOrEqual(0);
    });
  });
});
