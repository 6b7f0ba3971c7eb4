import type { Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import { waitForText, until } from './browser';
import { addressHas, clickOn, expectAccessible, useBrowser } from './visit';

const { at } = useBrowser(['belfry-six']);

const searched = (page: Page) => until(page, () => document.body.innerText.includes('no other is better'));
const set = 'quillon-turnpike~quillon-girt-50';

describe('boards bought together', () => {
  test('the ladder ranks sets among boards, says what was searched, and filters them', async () => {
    await at('/b/gutterling/ladder', async (page) => {
      await searched(page);
      const [first] = await page.$$eval('[data-row]', (rows) => rows.map((r) => r.getAttribute('data-row')));
      expect(first).toBe('pellmere-lych~marlpit-cotter-30');
      await waitForText(page, 'with 4 x Cotter 30');
      await waitForText(page, 'are in no set that could carry it');
    });
    await at('/b/gutterling/ladder?of=set&with=pellmere-lych', async (page) => {
      await searched(page);
      const rows = await page.$$eval('[data-row]', (all) => all.map((r) => r.getAttribute('data-row')));
      expect(rows.length).toBeGreaterThan(1);
      expect(rows.every((id) => id!.startsWith('pellmere-lych~'))).toBe(true);
      await expectAccessible(page);
    });
  });

  test('a set opens at its address: findings, hookup with both members and the harness, basket by member, sheet, bench', async () => {
    await at(`/b/belfry-six/board/${set}`, async (page) => {
      await page.waitForSelector('[aria-label="Boards of the set"]');
      await waitForText(page, 'Girt 50 by Quillon');
      await expectAccessible(page);
    });
    await at(`/b/belfry-six/hookup/${set}`, async (page) => {
      await waitForText(page, 'Girt 50: Top, nose up');
      await waitForText(page, 'both ends have one order');
    });
    await at(`/b/belfry-six/basket?board=${set}`, async (page) => {
      await waitForText(page, 'Quillon Girt 50, revision 1');
      await waitForText(page, 'of the set Turnpike F7 + Girt 50');
    });
    await at(`/b/belfry-six/sheet?board=${set}`, async (page) => {
      await waitForText(page, 'Check that the print on Girt 50 says revision 1.');
    });
    await at(`/b/belfry-six/bench?board=${set}`, async (page) => {
      await waitForText(page, '5 V of Girt 50');
    });
  });

  test('one made by hand takes part however it ranks; what is at home costs nothing in it', async () => {
    await at('/b/thimble/shelf', async (page) => {
      for (const [role, name] of [
        ['controller', 'Stile F7'],
        ['esc', 'Cotter 30'],
      ]) {
        await page.waitForSelector(`[aria-label="Make a set"] [aria-label="${role}"]`);
        await page.evaluate((r) => {
          const input = document.querySelector(`[aria-label="Make a set"] [aria-label="${r}"]`)!;
          const box = input.parentElement!.querySelector('[role="combobox"]')!;
          box.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 }));
        }, role);
        await page.waitForSelector('[role="option"]');
        await page.evaluate((n) => {
          [...document.querySelectorAll<HTMLElement>('[role="option"]')].find((o) => o.innerText === n)!.click();
        }, name);
        await until(page, () => document.querySelector('[role="option"]') === null);
      }
      await clickOn(page, 'Make it');
      await waitForText(page, 'Let it take part only while it ranks');
      await waitForText(page, 'does not fit');
    });
    await at('/b/thimble/shelf?q=stile', async (page) => {
      await page.waitForSelector('[aria-label="Stile F7 is at home"]');
      await page.click('[aria-label="Stile F7 is at home"]');
      await waitForText(page, 'Saved');
      await new Promise((r) => setTimeout(r, 800));
    });
    await at('/b/thimble/ladder?home=true', async (page) => {
      await page.waitForSelector('[data-row="marlpit-stile~marlpit-cotter-30"]');
      await addressHas(page, 'home', 'true');
    });
  });

  test('an ESC is edited as what it is: its plug, its capacitor, no ports, and how it does in a set', async () => {
    await at('/b/belfry-six/shelf/tarnfield-joist-55', async (page) => {
      await waitForText(page, 'In the set Stile F7 + Joist 55');
      expect(await page.$('section[aria-label="Ports"]')).toBeNull();
      const pins = '[aria-label="Harness"] input';
      await page.waitForSelector(pins);
      await page.click(pins, { count: 3 });
      await page.type(pins, 'VBAT GND S1 S2 S3 S4 CURR TLM');
      await page.keyboard.press('Enter');
      // Another order is a change: it can be put back.
      await clickOn(page, 'Put back');
      await expectAccessible(page);
    });
  });

  test('an address of a set that nobody asked for says so, and of one that cannot be made that there is none', async () => {
    await at('/b/attic-mouse/board/marlpit-stile~oxbow-strut-65', async (page) => {
      await waitForText(page, 'it is not among the best for this build');
      await clickOn(page, 'Let it climb all the same');
      await page.waitForSelector('[aria-label="Boards of the set"]');
    });
    await at('/b/attic-mouse/board/oxbow-strut-65~marlpit-weir-12', async (page) => {
      await until(page, () => !document.body.innerText.includes('is climbing'));
      expect(await page.$('[aria-label="Boards of the set"]')).toBeNull();
    });
  });

  test('another board never stands in for the one that an address names: not on the sheet, nor side by side', async () => {
    await at('/b/thimble/sheet?board=marlpit-stile~oxbow-strut-65', async (page) => {
      await waitForText(page, 'it is not among the best for this build');
    });
    await at('/b/thimble/basket?board=no-such-board', async (page) => {
      await waitForText(page, 'No board of this name is on the shelf.');
      await expectAccessible(page);
    });
    await at('/b/thimble/compare?boards=no-such-board', async (page) => {
      await waitForText(page, 'no-such-board is not on the ladder');
      await waitForText(page, 'These are the first of the ladder.');
    });
  });
});
