/** npm run bench: the figures of the quality bars, one JSON line each. Medians; nothing here passes or fails. */
import { execFileSync, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium } from 'playwright-core';
import { steady, Zone } from '#core/air';
import { openStudio, writeStudio, type Coat, type Piece, type Point, type Studio } from '#core/document';
import { withPoint } from '#core/edit';
import { fieldOf } from '#core/geometry';
import { buildUp, levelsOf, Planner, seenThrough } from '#core/plan';
import { summaryOf } from '#core/record';
import { comingPours, shelfOf } from '#core/stock';
import { deltaE, groundNamed, matchTint, mostOf, ofHex, recipeSeen, slopeMeans, solveSlope, type MatchIn, type Rgb } from '#core/tint';
import { freePort } from '../tests/browser/port';

const planner = new Planner();
const utc = new Zone('UTC');
const root = new URL('..', import.meta.url).pathname;
const print = (line: Record<string, unknown>): void => console.log(JSON.stringify(line));
const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const ms = (value: number): number => Number(value.toFixed(2));

const opened = openStudio(readFileSync(`${root}src/demo/studio.json`, 'utf8'));
if (!opened.ok) throw new Error('the sample studio does not open');
const studio: Studio = opened.studio;
const means = { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21.4) };

/** Median time of planning a piece anew after its shoreline moved a little, as in a drag. */
function recompute(piece: Piece): number {
  const times: number[] = [];
  for (let i = 0; i < 400; i++) {
    const from = piece.sea.shoreline[1]!;
    const moved = withPoint(piece, 'shoreline', 1, { x: from.x, y: from.y - (i % 20) });
    const start = performance.now();
    planner.plan(moved, means);
    if (i >= 100) times.push(performance.now() - start);
  }
  return median(times);
}

const largest = studio.pieces.reduce((most, p) =>
  p.coats.length * p.sea.edges.length > most.coats.length * most.sea.edges.length ? p : most,
);
print({
  bench: 'recompute',
  piece: largest.name,
  regions: largest.sea.edges.length + 2,
  coats: largest.coats.length,
  medianMs: ms(recompute(largest)),
});

/** The bar's own size: a beach and seven tints, seven coats. */
function eightBySeven(piece: Piece): Piece {
  const edges: Point[][] = Array.from({ length: 6 }, (_, i) => piece.sea.shoreline.map((p) => ({ x: p.x, y: p.y - 20 - 20 * i })));
  const sea = piece.coats.find((c) => c.kind === 'sea')!;
  const tint = sea.kind === 'sea' ? sea.tints[0]! : undefined;
  const coats = [...piece.coats, { ...piece.coats.at(-1)!, id: 'one-more' }].map((c): Coat =>
    c.kind === 'sea' ? { ...c, tints: Array.from({ length: 7 }, () => tint!) } : c,
  );
  return { ...piece, sea: { ...piece.sea, edges }, coats };
}
print({ bench: 'recompute', piece: '8 regions, 7 coats', medianMs: ms(recompute(eightBySeven(largest))) });
print({
  bench: 'recompute',
  piece: '8 regions, 7 coats, round',
  medianMs: ms(recompute({ ...eightBySeven(largest), shape: { kind: 'round', diameter: 400 } })),
});

/** Median time of doing something so many times, ms. */
function timed(times: number, work: (i: number) => void): number {
  return median(
    Array.from({ length: times }, (_, i) => {
      const begun = performance.now();
      work(i);
      return performance.now() - begun;
    }),
  );
}

/** What is seen at 200 × 200 places of a board of seven coats, each as thick as it lies there. */
{
  const square = { kind: 'rectangle', width: 300, height: 300 } as const;
  const plan = planner.plan({ ...eightBySeven(largest), shape: square }, means);
  const field = fieldOf(square, 200);
  const build = buildUp(plan.site, field, levelsOf(plan.heights()));
  const stage = { coats: plan.piece.coats.length, wet: false };
  print({
    bench: 'colours through seven coats',
    points: field.x.length,
    medianMs: ms(timed(15, () => seenThrough(build.layings, build.parts, plan.site, means.colourants, stage))),
  });
}

/** A slope of five cups whose hue turns, solved anew. */
{
  const slope = studio.slopes!.find((s) => s.id === 'slack-water')!;
  const with_ = slopeMeans(slope, studio);
  print({
    bench: 'slope of five cups',
    medianMs: ms(timed(60, (i) => solveSlope({ ...slope, palest: slope.palest - (i % 20) * 0.001 }, with_))),
  });
}

/** A match out of twelve colourants, and out of four beside every point of a grid of loads: time, and how far each is off. */
{
  const resin = studio.resins.find((r) => r.id === 'slow-coating')!;
  const own = studio.colourants;
  const twelve = Array.from({ length: 12 }, (_, i) => {
    const { absorb, ...from } = own[i % own.length]!;
    const bent = absorb.map((k, c) => k * (1 + 0.3 * Math.sin(i * 2.1 + c))) as Rgb;
    return { ...from, id: `colourant-${i}`, absorb: bent };
  });
  const into = (colourants: typeof own): MatchIn => ({
    resin,
    colourants,
    film: 1.5,
    ground: groundNamed('white primer').internal,
    resinG: 400,
    scaleStep: 0.01,
  });
  const targets = ['#1a4f7a', '#3f7f78', '#7fb5b0', '#24506a', '#9cc7c4'].map(ofHex);
  const off: number[] = [];
  const medianMs = ms(timed(targets.length, (i) => off.push(matchTint(targets[i]!, into(twelve))[0]!.deltaE)));
  print({ bench: 'match out of twelve colourants', choices: 298, medianMs, medianDeltaE: ms(median(off)) });

  const STEPS = 14;
  const exhaustive = (target: Rgb, { colourants, film, ground }: MatchIn): number => {
    const loads = colourants.map((c) => {
      const most = mostOf([{ colourantId: c.id, load: 1 }], resin, colourants);
      return Array.from({ length: STEPS }, (_, k) => (k === 0 ? 0 : most * (k / (STEPS - 1)) ** 4));
    });
    let best = Infinity;
    for (let i = 0; i < STEPS ** colourants.length; i++) {
      const recipe = colourants.map((c, k) => ({ colourantId: c.id, load: loads[k]![Math.floor(i / STEPS ** k) % STEPS]! }));
      const used = recipe.filter((p) => p.load > 0);
      if (used.length > 3 || mostOf(used, resin, colourants) < 1) continue;
      best = Math.min(best, deltaE(recipeSeen(used, colourants, film, ground), target));
    }
    return best;
  };
  const few = into(twelve.slice(1, 5));
  const searched: number[] = [];
  const gridded: number[] = [];
  const searchMs = timed(targets.length, (i) => searched.push(matchTint(targets[i]!, few)[0]!.deltaE));
  const gridMs = timed(targets.length, (i) => gridded.push(exhaustive(targets[i]!, few)));
  print({
    bench: 'match out of four, beside an exhaustive grid',
    gridPoints: STEPS ** 4,
    gridOverSearch: ms(gridMs / searchMs),
    deltaE: { search: ms(median(searched)), grid: ms(median(gridded)) },
  });
}

/** A studio grown to a size: copies of the sample's pieces, and pours of them until their events are the wanted lines. */
function largeStudio(pieces: number, lines: number): Studio {
  const grown = Array.from({ length: pieces }, (_, i): Piece => {
    // an archive with one table's worth of pieces still planned
    const { pourAt, ...from } = studio.pieces[i % studio.pieces.length]!;
    return { ...from, ...(pourAt && i < studio.pieces.length && { pourAt }), id: `${from.id}-${i}`, name: `${from.name} no. ${i}` };
  });
  const pours: Studio['pours'] = [];
  for (let n = 0, i = 0; n < lines; i++) {
    const from = studio.pours[i % studio.pours.length]!;
    const piece = { ...from.planned.pieces[0]!, id: grown[i % pieces]!.id };
    const { coatIds } = from.of[0]!;
    pours.push({ ...from, id: `large-${i}`, of: [{ pieceId: piece.id, coatIds }], planned: { ...from.planned, pieces: [piece] } });
    n += from.events.length;
  }
  return { ...studio, pieces: grown, pours };
}

/** A built file by its source, and what it imports before anything of it runs. */
type Manifest = Record<string, { file: string; src?: string; imports?: string[] }>;

/** Script a screen loads before it is drawn, gzipped, kB: what its layouts and it import by the build's manifest, whatever is fetched later. */
function firstLoad(screen: RegExp): number {
  const client = `${root}.svelte-kit/output/client/`;
  const manifest = JSON.parse(readFileSync(`${client}.vite/manifest.json`, 'utf8')) as Manifest;
  const isNode = (key: string): boolean => /client-optimized\/nodes\/\d+\.js$/.test(key);
  const wanted = Object.keys(manifest).filter((key) =>
    !isNode(key) ? /client-optimized\/app\.js|client\/entry\.js/.test(key) : screen.test(readFileSync(`${root}${key}`, 'utf8')),
  );
  const loaded = new Set<string>();
  const load = (key: string): void => {
    if (loaded.has(key)) return;
    loaded.add(key);
    manifest[key]?.imports?.forEach(load);
  };
  wanted.forEach(load);
  const bytes = [...new Set([...loaded].map((key) => manifest[key]!.file))].reduce(
    (sum, file) => sum + gzipSync(readFileSync(client + file)).length,
    0,
  );
  return Number((bytes / 1000).toFixed(1));
}

const layout = String.raw`routes\/\+layout\.(svelte|ts)`;
const studioLayout = String.raw`routes\/\(studio\)\/\+layout\.svelte`;
print({
  bench: 'first-load script by the manifest, kB gzipped',
  piece: firstLoad(new RegExp(`${layout}|${studioLayout}|pieces\\/\\[id\\]\\/\\+page\\.svelte`)),
  pieces: firstLoad(new RegExp(`${layout}|${studioLayout}|\\(studio\\)\\/pieces\\/\\+page\\.svelte`)),
  log: firstLoad(new RegExp(`${layout}|${studioLayout}|\\(studio\\)\\/log\\/\\+page\\.svelte`)),
  logOfAPour: firstLoad(new RegExp(`${layout}|${studioLayout}|log\\/\\[id\\]\\/\\+page\\.svelte`)),
  pour: firstLoad(new RegExp(`${layout}|routes\\/pour\\/\\[id\\]\\/\\+page\\.svelte`)),
});

/** Starts the built server; gives its address, and the time to its first answer. */
async function start(): Promise<{ base: string; firstAnswer: number; stop: () => void }> {
  const port = await freePort();
  const begun = performance.now();
  const child = spawn(process.execPath, ['--import', 'tsx', 'tools/serve.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), NERITE_SAMPLE: '1' },
    stdio: 'ignore',
  });
  const base = `http://127.0.0.1:${port}`;
  for (;;) {
    try {
      await fetch(`${base}/api/health`);
      return { base, firstAnswer: performance.now() - begun, stop: () => void child.kill() };
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  }
}

/** What Mix and Shelf compute when they are opened on a studio of that size for the first time. */
{
  const large = largeStudio(300, 5000);
  const begun = performance.now();
  const shelf = shelfOf(large.stock ?? [], large.pours, large, utc);
  const first = performance.now() - begun;
  const again = performance.now();
  shelfOf(large.stock ?? [], large.pours, large, utc);
  const coming = performance.now();
  const pours = comingPours(large.pieces, large.pours.map(summaryOf), means, planner).length;
  print({
    bench: 'shelf of a large studio',
    containers: shelf.lines.length,
    firstMs: ms(first),
    againMs: ms(coming - again),
    comingPours: pours,
    comingMs: ms(performance.now() - coming),
  });
}

const starts: number[] = [];
for (let i = 0; i < 3; i++) {
  const { firstAnswer, stop } = await start();
  starts.push(firstAnswer);
  stop();
}
print({ bench: 'server start to first answer', medianMs: ms(median(starts)) });

const { base, stop } = await start();
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM_PATH'] ?? execFileSync('which', ['chromium'], { encoding: 'utf8' }).trim(),
});
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${base}/pieces`);
  await page.getByText('Kelp Cove III').first().waitFor();
  await page.waitForLoadState('networkidle');
  const opens: number[] = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    await page.goto(`${base}/pieces/kelp-cove-1`);
    await page.getByText('Mix in one batch').waitFor();
    opens.push(performance.now() - begun);
  }
  print({ bench: 'piece screen opened to its cups', medianMs: ms(median(opens)) });

  /** Frames while the shoreline is dragged: the median, and how many took longer than two at 60 a second. */
  await page.evaluate(
    `globalThis.frames = []; (function next(last) { requestAnimationFrame((now) => { globalThis.frames.push(now - last); next(now); }); })(performance.now())`,
  );
  const box = (await page.getByRole('slider', { name: 'Shoreline, point 3 of 5' }).boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.evaluate('globalThis.frames.length = 0');
  for (let i = 0; i < 120; i++) await page.mouse.move(box.x + 6 + 30 * Math.sin(i / 9), box.y + 6 - 40 + 40 * Math.cos(i / 13));
  const frames = (await page.evaluate('globalThis.frames')) as number[];
  await page.mouse.up();
  print({
    bench: 'dragging a shoreline',
    frames: frames.length,
    medianFrameMs: ms(median(frames)),
    longFrames: frames.filter((f) => f > 34).length,
  });

  /** A studio of a size opened from a cold start to its list, and an edit of one piece in it: time of the main thread, long tasks only. */
  const opensFrom = async (of: Studio): Promise<{ listMs: number; editMs: number }> => {
    await page.goto(`${base}/settings`);
    await page
      .getByLabel('Open a file')
      .setInputFiles({ name: 'large.json', mimeType: 'application/json', buffer: Buffer.from(writeStudio(of)) });
    await page.getByRole('button', { name: 'Open it' }).click();
    await page.getByText('The studio was replaced').waitFor();
    const lists: number[] = [];
    for (let i = 0; i < 5; i++) {
      const cold = await context.newPage();
      const begun = performance.now();
      await cold.goto(`${base}/pieces`);
      await cold
        .getByText(of.pieces.length ? 'Pieces' : 'No piece on the table yet')
        .first()
        .waitFor();
      if (of.pieces.length)
        await cold
          .locator('main li')
          .nth(of.pieces.length - 1)
          .waitFor({ state: 'attached' });
      lists.push(performance.now() - begun);
      await cold.close();
    }
    if (!of.pieces.length) return { listMs: ms(median(lists)), editMs: 0 };
    await page.goto(`${base}/pieces/${of.pieces[0]!.id}`);
    await page.getByText('Mix in one batch').waitFor();
    await page.waitForTimeout(1500);
    const client = await context.newCDPSession(page);
    await client.send('Performance.enable');
    const busy = async (): Promise<number> => {
      const { metrics } = (await client.send('Performance.getMetrics')) as { metrics: { name: string; value: number }[] };
      return 1000 * (metrics.find((m) => m.name === 'TaskDuration')?.value ?? 0);
    };
    const point = page.getByRole('slider', { name: 'Shoreline, point 3 of 5' });
    const edits: number[] = [];
    for (let i = 0; i < 6; i++) {
      const before = await busy();
      await point.press(i % 2 ? 'ArrowUp' : 'ArrowDown');
      await page.getByText('Kept', { exact: true }).waitFor();
      await page.waitForTimeout(700);
      if (i) edits.push((await busy()) - before);
    }
    return { listMs: ms(median(lists)), editMs: ms(median(edits)) };
  };
  const empty = await opensFrom({ ...studio, pieces: [], pours: [] });
  const small = await opensFrom(studio);
  for (const [pieces, lines] of [
    [300, 5000],
    [1000, 5000],
  ] as const) {
    const { listMs, editMs } = await opensFrom(largeStudio(pieces, lines));
    print({
      bench: 'a large studio opened to its list, and one edit there',
      pieces,
      lines,
      listMs,
      overEmpty: ms(listMs / empty.listMs),
      editMs,
      editInTheSampleMs: small.editMs,
    });
  }
} finally {
  await browser.close();
  stop();
}
