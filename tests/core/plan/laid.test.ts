import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingCoat, withCoat } from '#core/edit';
import type { Coat, Dressing, Point, SandCoat, WaveCoat } from '#core/document';
import { fieldOf, inside, partsAt, distancesTo } from '#core/geometry';
import { capOf, clearanceOf, domeOf, dressedAfter, dressingGrams, looseGrams, reliefOf, sagOf, wedgeOf, weightOf } from '#core/plan';
import { waveSection } from '#core/coat';
import { empty, method, piece, plan, resin } from '../../factories';
import { near, sum } from '../help';

const panel = { kind: 'rectangle', width: 400, height: 300 } as const;
const field = fieldOf(panel);
const cell = field.cell ** 2;
const parts = Int8Array.from(field.y, (y) => (y > 200 ? 0 : 1));
const level: Point[] = [
  { x: 0, y: 200 },
  { x: 400, y: 200 },
];
const away = (reach: number): Float64Array => distancesTo(field, [level], reach);
const volume = (thickness: Float64Array): number => sum([...thickness]) * cell;
const wave = { ...(startingCoat('wave', 'wave', resin.id, 1, empty) as WaveCoat), reachSea: 40, reachUp: 20 };
const shell: Dressing = { id: 'shell-1', kind: 'shell', x: 200, y: 150, size: 80, height: 10, when: 'after the wave' };

test('a wave’s cap holds the cross-section it adds, along its whole line', () => {
  const { clear, foam } = waveSection(wave, method);
  assert.ok(clear > 0 && foam > 0);
  near(volume(capOf(wave, method, away(60), parts)) / ((clear + foam) * 400), 1, 0.01);
  const cap = capOf(wave, method, away(60), parts);
  const highest = cap.indexOf(Math.max(...cap));
  // the middle of a reach of 40 to sea and 20 up the beach lies 10 mm out
  near(field.y[highest]!, 190, field.cell);
  assert.equal(Math.max(...capOf({ ...wave, reachSea: 0, reachUp: 0 }, method, away(60), parts)), 0);
});

test('several fine lines hold as much clear as they are lines, and white laid straight on holds none', () => {
  const fine = waveSection({ ...wave, lines: 3, lineWidth: 5, lineHeight: 1.5 }, method);
  near(fine.clear, 3 * (2 / 3) * 5 * 1.5, 1e-9);
  assert.equal(waveSection({ ...wave, under: 'none' }, method).clear, 0);
  assert.ok(waveSection({ ...wave, lace: 'bright' }, method).foam > waveSection({ ...wave, lace: 'open' }, method).foam);
});

test('sand thins out across the shore, half of it on either side, and keeps its amount', () => {
  const sand = { ...(startingCoat('sand', 'sand', resin.id, 1, empty) as SandCoat), film: 2, taper: 60 };
  const wedge = wedgeOf(
    sand,
    away(60).map((d) => (d === Infinity ? 1000 : d)),
    parts,
  );
  near(volume(wedge) / (2 * 400 * 100), 1, 0.01);
  const at = (y: number): number => wedge[field.y.findIndex((v) => Math.abs(v - y) <= field.cell / 2)]!;
  near(at(290), 2, 1e-9);
  near(at(200), 1, 0.12);
  assert.equal(at(100), 0);
});

test('a dressing is half an ellipsoid, and stands proud where it is', () => {
  const proud = new Uint8Array(field.x.length);
  near(volume(domeOf(shell, field, proud)) / ((2 / 3) * Math.PI * 40 ** 2 * 10), 1, 0.02);
  near((sum([...proud]) * cell) / (Math.PI * 1600), 1, 0.05);
  near(dressingGrams({ kind: 'stone', size: 20, height: 10 }), (2 / 3) * Math.PI * 1 * 1 * 2.6, 1e-9);
});

test('relief covers about its share, as high as it says, and not where the board stays bare', () => {
  for (const share of [0.2, 0.5, 0.8]) {
    const proud = new Uint8Array(field.x.length);
    const relief = reliefOf({ height: 3, share }, field, new Int8Array(field.x.length), proud);
    near((sum([...proud]) * cell) / 120000, share, 0.2);
    assert.ok(Math.max(...relief) <= 3 && Math.max(...relief) > 2.9);
  }
  assert.equal(
    Math.max(...reliefOf({ height: 3, share: 1 }, field, new Int8Array(field.x.length).fill(-1), new Uint8Array(field.x.length))),
    0,
  );
});

test('dressings go on before any coat, on the sea, after the last wave, or between the last two', () => {
  const p = piece();
  const kinds = p.coats.map((c) => c.kind);
  const after = (when: Dressing['when']): Coat['kind'] | undefined => p.coats[dressedAfter(p, { ...shell, when })]?.kind;
  assert.equal(after('before resin'), undefined);
  assert.equal(after('on the wet base'), 'sea');
  assert.equal(after('after the wave'), 'wave');
  assert.equal(after('between coats'), kinds.at(-2));
});

test('places are sorted into regions and measured from lines as by hand', () => {
  const triangle: Point[] = [
    { x: 31, y: 12 },
    { x: 350, y: 77 },
    { x: 120, y: 280 },
  ];
  const found = partsAt(field, [{ rings: [triangle], area: 1, rim: 0 }]);
  found.forEach((part, i) => assert.equal(part === 0, inside({ x: field.x[i]!, y: field.y[i]! }, [triangle])));
  const line: Point[] = [
    { x: 0, y: 40 },
    { x: 200, y: 160 },
    { x: 400, y: 90 },
  ];
  const to = (p: Point, a: Point, b: Point): number => {
    const t = Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)));
    return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
  };
  distancesTo(field, [line], 80).forEach((d, i) => {
    const p = { x: field.x[i]!, y: field.y[i]! };
    const really = Math.min(to(p, line[0]!, line[1]!), to(p, line[1]!, line[2]!));
    if (really > 80) assert.equal(d, Infinity);
    else near(d, really, 1e-9);
  });
});

test('a finished piece weighs its parts: wood by hand, resin within its cups, gravel and dry sand by their bands', () => {
  const p = plan(piece({ edge: 'taped' }));
  const weight = weightOf(p);
  near(weight.board, 0.12 * 18 * 0.6, 1e-9);
  near(weight.total, weight.board + weight.resin + weight.dressing, 1e-12);
  assert.ok(weight.resin < sum(p.pours.flatMap((x) => x.batches.map((b) => b.grams))) / 1000);
  const doubled = weightOf(plan(piece({ edge: 'taped', surface: { ...piece().surface, doubled: true } })));
  near(doubled.board, 2 * weight.board, 1e-9);
  assert.deepEqual(looseGrams(p), { gravel: 0, dry: 0 });
  const flat = { side: 'far' as const, shoreline: level, edges: piece().sea.edges.map(() => level) };
  const strewn = looseGrams(plan(piece({ sea: { ...flat, gravel: { from: 10, to: 30 }, dry: { from: 50 } } })));
  near(strewn.gravel, (400 * 20 * 4 * 1.5) / 1000, 0.5);
  near(strewn.dry, (400 * 50 * 1 * 1.6) / 1000, 0.5);
});

test('sag is that of an evenly loaded beam: by the fourth power of its length, and an eighth when twice as thick', () => {
  const bare = (change: object): number => sagOf(plan(piece({ coats: [], ...change })));
  const one = bare({ thickness: 10 });
  const q = 0.6 * 10 * 1e-3 * 9.80665 * 1000;
  near(one, (1000 * 5 * q * 0.4 ** 4) / (384 * 9e9 * (0.01 ** 3 / 12)), 1e-9);
  // twice as thick is twice as heavy and eight times as stiff
  near(bare({ thickness: 20 }) / one, 1 / 4, 1e-9);
  near(bare({ thickness: 10, shape: { kind: 'rectangle', width: 800, height: 300 } }) / one, 16, 1e-9);
  assert.equal(bare({ surface: { material: 'canvas', primer: 'gesso', primerCoats: 2 } }), Infinity);
});

test('a top rises with what lies under it, and its cover over the highest place is what was asked for', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.2, max: 3, noNaN: true }), fc.double({ min: 0.5, max: 4, noNaN: true }), (cover, film) => {
      const p = piece();
      const top = p.coats.find((c) => c.kind === 'top');
      const sand = p.coats.find((c) => c.kind === 'sand')!;
      const coats = [...withCoat(p, sand.id, (c) => ({ ...c, film }) as Coat).coats.filter((c) => c !== top)];
      const topped = plan({ ...p, coats: [...coats, { ...startingCoat('top', 'top', resin.id, 1, empty), cover } as Coat] });
      near(clearanceOf(topped).leastTop, cover, 1e-6);
    }),
    { numRuns: 25 },
  );
});
