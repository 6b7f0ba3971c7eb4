import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import puppeteer, { type Browser, type BrowserContext, type EvaluateFunc, type Page } from 'puppeteer-core';
import { chromiumPath } from '../scripts/install.mjs';

/** Debian's Chromium with an empty profile, as the set-up scripts install it. */
export async function openBrowser(more: string[] = []): Promise<{ browser: Browser; close: () => Promise<void> }> {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'rung-chromium-'));
  const browser = await puppeteer.launch({
    executablePath: process.env.RUNG_CHROMIUM ?? chromiumPath(),
    userDataDir: profile,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
      // Nothing moves on its way here: colours between two schemes have no contrast of their own, and drawing them takes a tenth of the processor's time.
      '--force-prefers-reduced-motion',
      // A test leaves a page after seconds: what the engine would win by its slowest compiler, it spends on it, and more.
      ...(process.env.VITEST ? ['--js-flags=--no-turbofan'] : []),
      ...more,
    ],
    defaultViewport: { width: 1280, height: 800 },
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** A machine that is at work on more than this must not make a wait fail. */
const patienceMs = 150_000;
/** Between two looks: what is looked at is laid out anew for each, and looking four times a second instead of ten saves a twelfth of all their work. */
const betweenMs = 250;

/** A page on which a wait may take long. */
export async function patientPage(browser: Browser | BrowserContext): Promise<Page> {
  const page = await browser.newPage();
  page.setDefaultTimeout(patienceMs);
  return page;
}

/** A page that fails loudly: script errors, and whatever its own policy does not let it load or run, are collected in `faults`. */
export async function openPage(browser: Browser, address: string): Promise<{ page: Page; faults: string[] }> {
  const page = await patientPage(browser);
  // What a test does to requests of the page must reach them: only the test of the worker itself has it in between.
  await page.setBypassServiceWorker(true);
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(String(e)));
  page.on('console', (m) => m.text().includes('Content Security Policy') && faults.push(m.text().slice(0, 300)));
  await goTo(page, address);
  return { page, faults };
}

/** Goes to an address of Rung, and waits until what is on the page answers. */
export async function goTo(page: Page, address: string): Promise<void> {
  await page.goto(address, { waitUntil: 'load' });
  await answers(page);
}

/** Loads the page anew, in the same way. */
export async function reload(page: Page): Promise<void> {
  await page.reload({ waitUntil: 'load' });
  await answers(page);
}

/** React has taken over all that can be clicked, and what follows from that is done. */
async function answers(page: Page): Promise<void> {
  await until(page, () =>
    [...document.querySelectorAll('a, button, input')].every((e) =>
      Object.keys(e).some((key) => key.startsWith('__reactProps')),
    ),
  );
  await page.evaluate(() => new Promise((done) => requestIdleCallback(done, { timeout: 1000 })));
}

/** Waits until the page's text holds the words. */
export async function waitForText(page: Page, words: string): Promise<void> {
  await until(page, (w) => document.body.innerText.includes(w), words);
}

/** Waits until something holds on the page. It is asked anew each time, so that what the page is by then is asked: a wait that stands on a page goes with it when another one is loaded. */
export async function until<A extends unknown[]>(page: Page, holds: EvaluateFunc<A>, ...args: A): Promise<void> {
  const end = Date.now() + patienceMs;
  for (;;) {
    // A page that is just being left has no answer.
    const fault = await page.evaluate(holds, ...args).then(
      (held: unknown) => (held ? null : 'It never held'),
      (error: unknown) => String(error),
    );
    if (fault === null) return;
    if (Date.now() > end) throw new Error(`${fault}: ${String(holds)} ${JSON.stringify(args)}, at ${page.url()}`);
    await setTimeout(betweenMs);
  }
}
