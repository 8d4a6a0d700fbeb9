import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from 'playwright-core';

/** A browser of its own that keeps its data over being killed, as one does that loses power. */
export class Mortal {
  readonly #dir = mkdtempSync(path.join(tmpdir(), 'nerite-'));
  #kill: () => Promise<void> = () => Promise.resolve();

  constructor() {
    // a run that is broken off must not leave one behind
    process.once('exit', () => void this.#kill());
  }

  /** Starts it anew on what it had stored. */
  async page(): Promise<Page> {
    const child = spawn(
      process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      [
        ...['--headless=new', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking', '--disable-sync'],
        ...['--disable-component-update', '--remote-debugging-port=0', `--user-data-dir=${this.#dir}`, 'about:blank'],
      ],
      { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
    );
    const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
    this.#kill = async () => {
      try {
        // the whole group: what only its first process held is lost with it
        process.kill(-child.pid!, 'SIGKILL');
      } catch {
        // it is gone already
      }
      await gone;
    };
    const address = await new Promise<string>((resolve, reject) => {
      let text = '';
      child.stderr.on('data', (chunk: Buffer) => {
        text += chunk.toString();
        const found = /DevTools listening on (ws:\S+)/.exec(text);
        if (found) resolve(found[1]!);
      });
      child.once('error', reject);
      child.once('exit', () => reject(new Error(`the browser did not start: ${text.slice(0, 300)}`)));
    });
    const browser = await chromium.connectOverCDP(address);
    const page = await browser.contexts()[0]!.newPage();
    page.setDefaultTimeout(30_000);
    return page;
  }

  kill(): Promise<void> {
    return this.#kill();
  }

  async end(): Promise<void> {
    await this.kill();
    rmSync(this.#dir, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** Writes a remark, and kills the browser the moment it reads as kept. */
async function remark(mortal: Mortal, page: Page, base: string, text: string): Promise<void> {
  await page.goto(`${base}/log/pour-1`);
  const field = page.getByLabel('What to remember');
  await field.fill('');
  await field.pressSequentially(text);
  await page.getByText('Kept.', { exact: true }).waitFor();
  await mortal.kill();
}

/** Moves a point of the shoreline, and kills the browser the moment that reads as kept. @returns where it was put */
async function move(mortal: Mortal, page: Page, base: string): Promise<string> {
  await page.goto(`${base}/pieces/kelp-cove-1`);
  const point = page.getByRole('slider', { name: 'Shoreline, point 2 of 5' });
  await point.focus();
  await page.keyboard.press('ArrowUp');
  await page.getByText('Kept', { exact: true }).waitFor();
  const after = await point.getAttribute('aria-valuetext');
  await mortal.kill();
  return after!;
}

/** Kills a browser so many times, right after something of it read as stored. @returns how often what was stored was lost */
export async function killed(base: string, times: number): Promise<number> {
  assert.ok(times > 0);
  const mortal = new Mortal();
  let lost = 0;
  try {
    let page = await mortal.page();
    for (let i = 0; i < times; i++) {
      if (i % 2 === 0) {
        const text = `Remark ${i}: lace opened late`;
        await remark(mortal, page, base, text);
        page = await mortal.page();
        await page.goto(`${base}/log/pour-1`);
        const found = await page.getByLabel('What to remember').inputValue();
        if (found !== text) lost++;
      } else {
        const put = await move(mortal, page, base);
        page = await mortal.page();
        await page.goto(`${base}/pieces/kelp-cove-1`);
        const found = await page.getByRole('slider', { name: 'Shoreline, point 2 of 5' }).getAttribute('aria-valuetext');
        if (found !== put) lost++;
      }
    }
  } finally {
    await mortal.end();
  }
  return lost;
}
