import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { after, test } from 'node:test';
import { chromium, type Browser, type BrowserContext, type Locator, type Page } from 'playwright-core';
import { freePort } from './port';

const root = new URL('../..', import.meta.url).pathname;

const children: ChildProcess[] = [];
// a crash must not leave a server behind that keeps the run from ending
process.once('exit', () => children.forEach((child) => child.kill()));

/** Starts the built server as the README's command does; gives its address. */
async function startServer(sample: boolean): Promise<string> {
  const port = await freePort();
  const child = spawn(process.execPath, ['--import', 'tsx', 'tools/serve.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', NERITE_SAMPLE: sample ? '1' : '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  await new Promise<void>((resolve, reject) => {
    child.stdout!.once('data', () => resolve());
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return `http://127.0.0.1:${port}`;
}

/** A server with the sample studio of a test's own, which the test may end. */
export async function ownServer(): Promise<{ base: string; end: () => void }> {
  const base = await startServer(true);
  const child = children.at(-1)!;
  return { base, end: () => void child.kill() };
}

let demo: Promise<string> | undefined;
let plain: Promise<string> | undefined;
let browser: Promise<Browser> | undefined;

/** Address of a server that seeds new browsers with the sample studio, and of one that does not. */
export const demoServer = (): Promise<string> => (demo ??= startServer(true));
export const plainServer = (): Promise<string> => (plain ??= startServer(false));

const launch = (): Promise<Browser> =>
  (browser ??= chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--disable-background-networking', '--disable-component-update', '--disable-gpu', '--disable-sync', '--no-first-run'],
  }));

after(async () => {
  // a browser that hangs, or never started, must not hold up the end of the run
  const closed = browser?.then((b) => b.close()).catch(() => undefined);
  await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, 10_000).unref())]);
  children.forEach((child) => child.kill());
  // whatever still holds the process after that is not waited for; results have been reported by then
  setTimeout(() => process.exit(), 15_000).unref();
});

export interface Visit {
  context: BrowserContext;
  page: Page;
  base: string;
  /** What the browser complained of: errors, refused loads, requests to another host. */
  complaints: string[];
}

export interface Terms {
  server?: () => Promise<string>;
  size?: { width: number; height: number };
  /** Complaints the test means to cause. */
  allow?: RegExp;
  /** In a browser of its own, opened for it and closed after it: for a clock, a script or a damage that must not outlive it. */
  alone?: boolean;
  /** With its service worker, and leave to show notices; alone. */
  worker?: boolean;
}

const desk = { width: 1280, height: 800 };

/** Marks a window from which something is written to what the browser keeps; the mark outlasts a reload. */
const marking = `for (const [kind, names] of [[IDBObjectStore, ['put', 'add', 'delete', 'clear']], [IDBCursor, ['update', 'delete']]])
  for (const name of names) {
    const was = kind.prototype[name];
    kind.prototype[name] = function (...args) {
      sessionStorage.wrote = 'yes';
      return was.apply(this, args);
    };
  }`;

/** Opens an empty browser, which notes what it complains of. */
async function opened(base: string, worker = false): Promise<Visit> {
  const serviceWorkers = worker ? 'allow' : 'block';
  const context = await (await launch()).newContext({ baseURL: base, viewport: desk, acceptDownloads: true, serviceWorkers });
  if (worker) await context.grantPermissions(['notifications']);
  await context.addInitScript('globalThis.__name ??= (f) => f');
  await context.addInitScript(marking);
  const complaints: string[] = [];
  context.on('request', (request) => {
    const url = new URL(request.url());
    if (/^https?:$/.test(url.protocol) && url.origin !== base) complaints.push(`a request left for ${url.origin}`);
  });
  context.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
  context.on('weberror', (error) => complaints.push(String(error.error())));
  const page = await context.newPage();
  page.setDefaultTimeout(45_000);
  return { context, page, base, complaints };
}

/**
 * Browsers kept from test to test, by their server. Opening the app in an empty one, with all its code still cold, is most
 * of the work of a short test; an artist's browser stays open too.
 */
const kept = new Map<string, Visit>();

/** Takes every word off the screen that a test before left there: what the mouse lies on would stay for good. */
async function cleared(page: Page): Promise<void> {
  await page.mouse.move(0, 0);
  const words = page.locator('[data-close-button]');
  await words.evaluateAll((all) => all.forEach((close) => (close as unknown as { click(): void }).click()));
  await until(
    () => words.count(),
    (n) => n === 0,
    'words that stay',
  );
}

/** Brings the studio back that the server starts with, as an artist would, where the test before may have written to it. */
async function asFirst({ context, page, base }: Visit): Promise<void> {
  const others = context.pages().filter((other) => other !== page);
  for (const other of others) await other.close();
  await page.emulateMedia({ media: null });
  await follow(page, '/settings');
  await cleared(page);
  if (!others.length && !(await page.evaluate('sessionStorage.wrote'))) return;
  const [ask, answer] = base === (await demo) ? ['Bring the sample back', 'Bring the sample'] : ['Start empty', 'Start empty'];
  await page.getByRole('button', { name: ask, exact: true }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: answer, exact: true }).click();
  await replaced(page);
}

/** A test in a browser with the studio its server starts with. It fails when anything leaves the origin or the page complains. */
export function visit(name: string, terms: Terms, body: (visit: Visit) => Promise<void>): void {
  test(name, { timeout: 300_000 }, async () => {
    const base = await (terms.server ?? demoServer)();
    const before = terms.alone ? undefined : kept.get(base);
    if (before) kept.delete(base);
    const visit = before ?? (await opened(base, terms.worker));
    const { complaints, context } = visit;
    let good = false;
    try {
      await visit.page.setViewportSize(terms.size ?? desk);
      if (before) {
        await asFirst(visit);
        await visit.page.evaluate('delete sessionStorage.wrote');
      }
      complaints.length = 0;
      await body(visit);
      const unexpected = complaints.filter((c) => !terms.allow?.test(c));
      assert.deepEqual(unexpected, []);
      good = true;
    } catch (error) {
      if (error instanceof Error && complaints.length) error.message += `\nThe browser complained: ${complaints.join('; ')}`;
      throw error;
    } finally {
      if (good && !terms.alone) kept.set(base, visit);
      else await context.close();
    }
  });
}

/** The row of a cup on the piece screen, as its texts. */
export async function cupRow(page: Page, name: string): Promise<string[]> {
  const row = page
    .getByRole('region', { name: /^Cups for pour/ })
    .getByRole('row', { name: new RegExp(`^${name}`) })
    .first();
  await row.waitFor();
  return row.getByRole('cell').allInnerTexts();
}

/** Mixed resin in a cup as the piece screen tells it: in its row, or below the coat that stands open in their place. */
export async function cupMl(page: Page, name: string): Promise<number> {
  const line = page.getByLabel('Cups of this coat');
  if (!(await line.isVisible())) return Number((await cupRow(page, name))[0]);
  return Number(new RegExp(`${name} ([\\d.]+)`).exec(await line.innerText())?.[1]);
}

/** Waits until a reading is what is wanted; shows the last one when it never is. */
export async function until<T>(read: () => Promise<T>, good: (value: T) => boolean, what: string): Promise<T> {
  let value = await read();
  for (let i = 0; i < 200 && !good(value); i++) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    value = await read();
  }
  assert.ok(good(value), `${what}: ${JSON.stringify(value)}`);
  return value;
}

/** Waits until a screen has read what it shows. */
export async function settled(page: Page): Promise<void> {
  await page.locator('[aria-busy=true]').waitFor({ state: 'detached' });
  await page.locator('h1').first().waitFor();
}

/**
 * Goes to a screen as a link of the app does, or opens the app there. A tenth of the work of opening it each time, which
 * `page.goto` is for: where a test is about what is read from the disk.
 */
export async function follow(page: Page, path: string): Promise<void> {
  if (page.url() === 'about:blank') await page.goto(path);
  else {
    await page.locator('main').evaluate((main, href) => {
      const link = Object.assign(document.createElement('a'), { href });
      main.append(link);
      link.click();
      link.remove();
    }, path);
    await page.waitForURL((url) => url.href === new URL(path, url).href);
  }
  await settled(page);
}

/** Exports the studio through the interface; gives the bytes of the file. */
export async function exportStudio(page: Page): Promise<string> {
  await follow(page, '/settings');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export the studio' }).click()]);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

/** Hands a file to the interface. */
export async function openFile(page: Page, text: string, name = 'studio.json'): Promise<void> {
  await follow(page, '/settings');
  await page.getByLabel('Open a file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

/** Waits until another studio stands in the place of the one before, and takes the word of it off the screen. */
export async function replaced(page: Page): Promise<void> {
  const said = page.getByText('The studio was replaced');
  await said.waitFor();
  // other words may still stand beside it
  await page.getByRole('listitem').filter({ has: said }).getByRole('button', { name: 'Close toast' }).click();
  await said.waitFor({ state: 'detached' });
}

/** Opens a coat of the piece screen to what it is planned with, in the place of the cups: chosen first, then opened. */
export async function openCoat(page: Page, name: RegExp): Promise<Locator> {
  const row = page.getByRole('region', { name: 'Coats' }).getByRole('button', { name });
  while ((await row.getAttribute('aria-expanded')) !== 'true') await row.click();
  return row;
}

/** Says at the bench that all that must be so before the first mixing is so, and waits until a further tap is no slip of the glove. */
export async function allIsSo(page: Page): Promise<void> {
  await page.waitForURL('**/pour/**');
  await page.getByRole('button', { name: /^All of it is so/ }).click();
  await page.getByText('Before you start').waitFor({ state: 'detached' });
  await page.waitForTimeout(420);
}

/** Says at the bench that the colourants are thinned, as late as a second tap is not taken for a slip of the glove. */
export async function thin(page: Page): Promise<void> {
  const done = page.getByRole('main').getByRole('button', { name: /thinned/ });
  await done.waitFor();
  await page.waitForTimeout(420);
  await done.click();
}
