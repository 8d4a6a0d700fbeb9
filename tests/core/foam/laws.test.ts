import assert from 'node:assert/strict';
import { test } from 'node:test';
import { withAdditive, Eye, goBack, heatStep, momentOf, rest, tuned, type Figures, type Foam } from '../../../src/core/foam/index';
import { near } from '../help';
import { act, heldStill, lines, panel, pushed, strokes, white } from './panel';

const measured = (foam: Foam): Figures => new Eye(foam).measure(lines, 3600);
const meanOf = (foams: Foam[], of: (f: Foam) => number): number => foams.reduce((sum, f) => sum + of(f), 0) / foams.length;
const base = [1, 2].map((seed) => pushed(seed));
const cells = (f: Foam): number => measured(f).perCm2;
const reach = (f: Foam): number => measured(f).toSea.middle;
const baseMean = (of: (f: Foam) => number): number => meanOf(base, of);

test('white is neither made nor lost: on the surface, stirred in and run off are what was laid', () => {
  for (const foam of base) {
    const { w, m, off } = white(foam);
    near(w + m + off, foam.laid, 1e-5 * foam.laid);
    assert.ok(foam.w.every((v) => v >= 0 && v <= 1.2 * foam.physical.film));
  }
  const foam = pushed(4);
  rest(foam, 1500);
  const { w, m, off } = white(foam);
  near(w + m + off, foam.laid, 1e-5 * foam.laid);
});

test('its picture keeps the white', () => {
  const foam = pushed(5);
  rest(foam, 600);
  const eye = new Eye(foam);
  const seen = eye.see(eye.whole());
  const amount = (of: Float32Array): number => of.reduce((a, b) => a + b, 0);
  near(amount(seen.white) / amount(foam.w), 1, 0.002);
});

test('the same luck gives the same bytes, and another another', () => {
  const [a, b, c] = [pushed(1), base[0]!, base[1]!];
  assert.deepEqual(Buffer.from(a.w.buffer), Buffer.from(b.w.buffer));
  assert.deepEqual(a.holes.x.slice(0, a.holes.count), b.holes.x.slice(0, b.holes.count));
  assert.notDeepEqual(Buffer.from(a.w.buffer), Buffer.from(c.w.buffer));
});

test('what is gone back to goes on as it did', () => {
  const foam = panel(2);
  const acts = strokes();
  act(foam, acts.slice(0, 4));
  const moment = momentOf(foam);
  act(foam, acts.slice(4));
  const first = foam.w.slice();
  goBack(foam, moment);
  heldStill(foam, 2, 30, 40);
  goBack(foam, moment);
  act(foam, acts.slice(4));
  assert.deepEqual(foam.w, first);
});

test('without unevenness and gusts both halves of a board come out alike', () => {
  const straight = [
    {
      path: [
        { x: 0, y: 40 },
        { x: 60, y: 40 },
      ],
      sea: 1 as const,
    },
  ];
  const foam = panel(1, { lines: straight, rough: 0, uneven: 0, film: () => 1, tuned: { ...tuned, gusts: 0 } });
  heldStill(foam, 3, 30, 42);
  let worst = 0;
  for (let j = 0; j < foam.ny; j++)
    for (let i = 0; i < foam.nx / 2; i++)
      worst = Math.max(worst, Math.abs(foam.w[j * foam.nx + i]! - foam.w[j * foam.nx + foam.nx - 1 - i]!));
  assert.ok(worst < 1e-4, `${worst}`);
});

test('without white there are no cells, and without heat nothing moves', () => {
  const empty = panel(1, { lines: [] });
  heldStill(empty, 3, 30, 40);
  rest(empty, 600);
  assert.equal(empty.holes.count, 0);
  const still = panel(1);
  const before = still.w.slice();
  for (let n = 0; n < 20; n++) heatStep(still);
  assert.deepEqual(still.w, before);
});

test('more white: more of the board is white, fewer cells a square centimetre, less of it open', () => {
  const much = [1, 2].map((seed) => pushed(seed, { section: 13, lineWidth: 15 }));
  assert.ok(meanOf(much, (f) => measured(f).white) > baseMean((f) => measured(f).white));
  assert.ok(meanOf(much, cells) < baseMean(cells));
  assert.ok(meanOf(much, (f) => measured(f).open) < baseMean((f) => measured(f).open));
});

test('later: the white goes less far and opens less; earlier: it goes further, turns to mist, and holds fewer cells', () => {
  const [lates, earlies] = [58, 5].map((min) => [1, 2].map((seed) => pushed(seed, { age: min * 60 }))) as [Foam[], Foam[]];
  const late = (of: (f: Foam) => number): number => meanOf(lates, of);
  const early = (of: (f: Foam) => number): number => meanOf(earlies, of);
  assert.ok(late(reach) < baseMean(reach) && late(cells) < baseMean(cells));
  assert.ok(early(reach) > baseMean(reach) && early(cells) < baseMean(cells));
  assert.ok(early((f) => measured(f).mist) > 2 * baseMean((f) => measured(f).mist));
});

test('a barrier lets it go further and open more; an additive opens more still', () => {
  const barrier = [1, 2].map((seed) => pushed(seed, { barrier: 0.5 }));
  const added = [1, 2].map((seed) => pushed(seed, { tuned: withAdditive(tuned) }));
  assert.ok(meanOf(barrier, reach) > baseMean(reach) && meanOf(barrier, cells) > baseMean(cells));
  assert.ok(meanOf(added, (f) => measured(f).open) > baseMean((f) => measured(f).open) && meanOf(added, cells) > baseMean(cells));
});

test('rest opens it further; a second pass stirs more of it in', () => {
  const foam = pushed(1);
  const before = measured(foam);
  const twice = pushed(1);
  act(twice, strokes());
  rest(foam, 1500);
  assert.ok(measured(foam).open > before.open);
  assert.ok(measured(twice).mist > before.mist);
});

test('slower is hotter and further; farther off is cooler and shorter; longer is never a lower dose', () => {
  const slow = pushed(1, {}, strokes({ slower: 2 }));
  const far = pushed(1, {}, strokes({ distance: 90 }));
  assert.ok(slow.hottest > base[0]!.hottest && reach(slow) > reach(base[0]!));
  assert.ok(far.hottest < base[0]!.hottest && reach(far) < reach(base[0]!));
  const [short, long] = [panel(1), panel(1)];
  heldStill(short, 10, 30, 40);
  heldStill(long, 20, 30, 40);
  assert.ok(long.dose.every((d, k) => d >= short.dose[k]!));
});

/** A flame drawn along the foam, in so many seconds. */
const flick = (foam: Foam, seconds: number): void => {
  const path = [
    { x: 5, y: 34 },
    { x: 55, y: 34 },
  ];
  act(foam, [{ does: 'stroke', held: { tool: 'torch' }, path, seconds, toward: -Math.PI / 2 }]);
};

test('a torch opens cells where it hardly moves the white', () => {
  const foam = pushed(1);
  flick(foam, 3);
  assert.ok(foam.holes.count > base[0]!.holes.count, `${foam.holes.count} after ${base[0]!.holes.count}`);
  near(reach(foam), reach(base[0]!), 3);
});

test('long heat joins cells: they become fewer and wider', () => {
  const foam = pushed(1);
  rest(foam, 300);
  const before = measured(foam);
  for (let n = 0; n < 6; n++) flick(foam, 4);
  const merged = foam.holes.merged.subarray(0, foam.holes.count).reduce((a, b) => a + b, 0);
  assert.ok(merged > 0);
  assert.ok(measured(foam).diameters.high > before.diameters.high);
});
