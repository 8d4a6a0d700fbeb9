/** Figures of the core alone. */
import type { Coat, Piece, Point } from '#core/document';
import { withPoint } from '#core/edit';
import { fieldOf } from '#core/geometry';
import { daysWith, steady } from '#core/air';
import { Airs, type AgeLine } from '#core/cure';
import { buildUp, levelsOf, likelyOf, seenThrough } from '#core/plan';
import { summaryOf } from '#core/record';
import { comingPours, shelfOf } from '#core/stock';
import { deltaE, groundNamed, matchTint, mostOf, ofHex, recipeSeen, slopeMeans, solveSlope, type MatchIn, type Rgb } from '#core/tint';
import { means, median, ms, planner, print, studio, utc } from './figures';
import { largeStudio } from './large';

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

/** All windows of a piece of seven coats with the range each lies in, every pour and batch of it; the plan itself is there. */
{
  const piece = eightBySeven(largest);
  // means of its own for each, so that nothing is known from the one before
  const plans = Array.from({ length: 24 }, (_, i) => planner.plan(piece, { ...means, air: steady(21 + i / 100) }));
  print({
    bench: 'windows with ranges',
    coats: piece.coats.length,
    batches: plans[0]!.pours.flatMap((p) => p.batches).length,
    medianMs: ms(timed(24, (i) => plans[i]!.pours.forEach((p) => p.batches.forEach((b) => likelyOf(b, plans[i]!.means))))),
  });
}

/** A year of hourly readings: gone through once for a room and a resin, and then the moment of an age looked up in it. */
{
  const [HOUR, YEAR] = [3_600_000, 365 * 24];
  const start = Date.parse('2026-01-01T00:00:00Z');
  const room = studio.rooms[0]!;
  const read = Array.from({ length: YEAR }, (_, i) => ({ ms: start + i * HOUR, celsius: 19 + 4 * Math.sin(i / 3.8) }));
  const days = daysWith([], room.id, read);
  const line = (): AgeLine => new Airs(utc, days).line(room, 23, 55);
  const whole = line();
  const integrateMs = timed(5, () => line().between(start, start + YEAR * HOUR));
  whole.between(start, start + YEAR * HOUR);
  const LOOKUPS = 20_000;
  const lookupMs = timed(5, () => {
    for (let i = 0; i < LOOKUPS; i++) whole.momentOf(60 * (2 + (i % 100)), start + ((i * 7919) % (YEAR - 1000)) * HOUR);
  });
  print({
    bench: 'a year of hourly readings',
    readings: YEAR,
    integrateMs: ms(integrateMs),
    lookupMicros: ms((1000 * lookupMs) / LOOKUPS),
  });
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
