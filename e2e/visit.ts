import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { openBrowser, openPage, until } from './browser';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Asks the server as a page of its own would. */
export function ask(path: string, init: RequestInit = {}): Promise<Response> {
  const address = process.env.RUNG_ADDRESS!;
  return fetch(address + path, { ...init, headers: { origin: address, ...init.headers } });
}

/** Does some work on a page of the running application; a script error on it fails the test. */
export async function visit<T>(browser: Browser, path: string, work: (page: Page) => Promise<T>): Promise<T> {
  const { page, faults } = await openPage(browser, process.env.RUNG_ADDRESS! + path);
  try {
    const result = await work(page);
    expect(faults).toEqual([]);
    return result;
  } finally {
    await page.close();
  }
}

/**
 * One browser for all tests of a file, and `at`: some work on a page of the running application. Of `builds` boards and sets are put in order once: a page that is left before that is done throws its search
 * away, and the next one begins anew.
 */
export function useBrowser(builds: readonly string[] = []): {
  browser: () => Browser;
  at: <T>(path: string, work: (page: Page) => Promise<T>) => Promise<T>;
} {
  let opened: Awaited<ReturnType<typeof openBrowser>>;
  beforeAll(async () => {
    opened = await openBrowser();
    for (const id of builds) await visit(opened.browser, `/b/${id}/ladder`, kept);
  });
  afterAll(() => opened.close());
  return { browser: () => opened.browser, at: (path, work) => visit(opened.browser, path, work) };
}

const wcag = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** Of those the rules that ask for a colour; between the schemes nothing else differs. */
const ofColour = ['color-contrast', 'link-in-text-block'];

/** WCAG 2.2 AA by axe-core, in both schemes. */
export async function expectAccessible(page: Page): Promise<void> {
  // Between two screens there is none for a moment.
  await until(page, () => document.title !== '');
  await page.evaluate(axe);
  for (const [scheme, rules] of [
    ['light', wcag],
    ['dark', ofColour],
  ] as const) {
    await page.evaluate((s) => document.documentElement.setAttribute('data-scheme', s), scheme);
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    const violations = await page.evaluate(async (runOnly) => {
      const run = (
        window as unknown as {
          axe: {
            run: (
              o: object,
            ) => Promise<{ violations: { id: string; nodes: { html: string; failureSummary: string }[] }[] }>;
          };
        }
      ).axe;
      const { violations } = await run.run({ runOnly, resultTypes: ['violations'], elementRef: false });
      return violations.map(
        (v) => `${v.id}: ${v.nodes[0]!.html.slice(0, 160)} ${v.nodes[0]!.failureSummary.slice(0, 200)}`,
      );
    }, rules);
    expect(violations, scheme).toEqual([]);
  }
}

/** Waits until boards and sets are in their order: until then the board at hand, and with it the whole screen, may be another one. */
export async function ranked(page: Page): Promise<void> {
  await page.waitForSelector('nav[aria-label=Stages][aria-busy=false]');
}

/** Until the browser keeps the order for its next visit, a moment after it stands; where it does not yet, nothing is lost but time. */
export async function kept(page: Page): Promise<void> {
  await ranked(page);
  await new Promise((done) => setTimeout(done, 1000));
}

/** Waits until the address carries the word: it follows the screen by a moment. */
export async function addressHas(page: Page, key: string, word: string): Promise<void> {
  await until(page, (k, w) => new URL(location.href).searchParams.get(k) === w, key, word);
}

/** Clicks the first button whose words begin so. */
export async function clickOn(page: Page, words: string): Promise<void> {
  await until(
    page,
    (w) => [...document.querySelectorAll('button')].some((b) => b.innerText.trim().startsWith(w) && !b.disabled),
    words,
  );
  await page.evaluate(
    (w) =>
      [...document.querySelectorAll('button')].find((b) => b.innerText.trim().startsWith(w) && !b.disabled)!.click(),
    words,
  );
}

/** Takes one word of a list, by keyboard: what else moves on the page cannot come between. */
export async function choose(page: Page, list: string, word: string): Promise<void> {
  await page.waitForSelector(list);
  await page.focus(list);
  await page.keyboard.press('Enter');
  await until(page, (w) => [...document.querySelectorAll('[role=option]')].some((o) => o.textContent === w), word);
  await page.evaluate(
    (w) => ([...document.querySelectorAll('[role=option]')].find((o) => o.textContent === w) as HTMLElement).click(),
    word,
  );
}
