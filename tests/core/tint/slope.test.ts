import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { slopeCups, startingColourants } from '#core/craft';
import type { Colourant } from '#core/document';
import { blend, deltaE, hue, lightness, loadFor, mixtureOf, mostOf, ofHex, hexOf, recipeSeen, solveSlope, type Rgb } from '#core/tint';
import { resin } from '../../factories';
import { near } from '../help';

const white: Rgb = [0.8, 0.8, 0.8];
const blue = [{ colourantId: 'phthalo-blue', parts: 1 }];
const turquoise = [{ colourantId: 'turquoise', parts: 1 }];
const asked = { film: 1.5, palest: 0.72, deepest: 0.4, turn: 0, deep: blue, toward: [], cups: slopeCups(5, 30) };
const means = { resin, colourants: startingColourants, ground: white };

test('phthalo blue in five even steps at 1.5 mm over 0.8', () => {
  const { cups, steps } = solveSlope(asked, means);
  const loads = [0.003158, 0.00196, 0.001179, 0.000654, 0.000303];
  cups.forEach((c, i) => near(c.recipe[0]!.load, loads[i]!));
  for (const s of steps) near(s.lightness, 0.08, 1e-6);
  assert.ok(cups.every((c) => !c.stops));
});

test('any slope that can be reached has even steps and its own ends', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.36, max: 0.5, noNaN: true }),
      fc.double({ min: 0.55, max: 0.75, noNaN: true }),
      fc.integer({ min: 2, max: 8 }),
      fc.double({ min: 0.8, max: 3, noNaN: true }),
      (deepest, palest, n, film) => {
        const { cups, steps } = solveSlope({ ...asked, deepest, palest, film, cups: slopeCups(n, 30), toward: turquoise, turn: 6 }, means);
        near(cups[0]!.lightness, deepest, 1e-5);
        near(cups.at(-1)!.lightness, palest, 1e-5);
        for (const s of steps) near(s.lightness, (palest - deepest) / (n - 1), 1e-5);
      },
    ),
    { numRuns: 25 },
  );
});

test('the hue turns at the shore by what was asked, and no further than the mixture can', () => {
  const turned = solveSlope({ ...asked, toward: turquoise, turn: 10 }, means);
  near(turned.turn.reached, 10, 0.01);
  const plain = solveSlope(asked, means);
  near(Math.abs(hue(turned.cups.at(-1)!.seen)! - hue(plain.cups.at(-1)!.seen)!), 10, 0.05);
  const most = solveSlope({ ...asked, toward: turquoise, turn: 170 }, means);
  near(most.turn.reached, most.turn.most, 1e-9);
  assert.ok(most.turn.most > 10 && most.turn.most < 170);
  assert.equal(
    most.cups.at(-1)!.recipe.some((p) => p.colourantId === 'phthalo-blue'),
    false,
  );
});

test('a locked cup stays, and the others part the way on either side of it', () => {
  const recipe = [{ colourantId: 'phthalo-blue', load: 0.0016 }];
  const cups = slopeCups(5, 30).map((c, i) => (i === 1 ? { ...c, recipe } : c));
  const solved = solveSlope({ ...asked, cups }, means);
  assert.equal(solved.cups[1]!.recipe, recipe);
  const own = lightness(recipeSeen(recipe, startingColourants, 1.5, white));
  near(solved.steps[0]!.lightness, own - 0.4, 1e-6);
  for (const s of solved.steps.slice(1)) near(s.lightness, (0.72 - own) / 3, 1e-6);
});

test('what cannot be reached comes as near as it can, and says what stops it', () => {
  const palest = solveSlope({ ...asked, palest: 0.95 }, means).cups.at(-1)!;
  assert.equal(palest.stops, 'ground');
  assert.deepEqual(palest.recipe, []);
  const weak: Colourant[] = startingColourants.map((c) => ({ ...c, limit: 0.001 }));
  const deep = solveSlope(asked, { ...means, colourants: weak }).cups[0]!;
  assert.equal(deep.stops, 'limit');
  near(deep.recipe[0]!.load, 0.001, 1e-12);
  // white over a dark ground grows paler only up to what it is itself
  const grey = solveSlope(
    { ...asked, deep: [{ colourantId: 'white-paste', parts: 1 }], palest: 0.97 },
    { ...means, ground: [0.1, 0.1, 0.1] },
  );
  assert.equal(grey.cups.at(-1)!.stops, 'limit');
});

test('without colourants every cup is the clear ground', () => {
  const { cups } = solveSlope({ ...asked, deep: [] }, means);
  assert.ok(cups.every((c) => c.recipe.length === 0 && c.stops === 'ground'));
});

test('the limit of a mixture is the strictest of the resin’s and of each colourant’s own', () => {
  const half = [
    { colourantId: 'phthalo-blue', load: 0.5 },
    { colourantId: 'turquoise', load: 0.5 },
  ];
  near(mostOf(half, resin, startingColourants), 0.06, 1e-12);
  const own = startingColourants.map((c) => (c.id === 'turquoise' ? { ...c, limit: 0.01 } : c));
  near(mostOf(half, resin, own), 0.02, 1e-12);
  near(mostOf(half, { ...resin, loadLimitBy: 'volume' }, startingColourants), (0.06 * 1.1) / 1.065, 1e-9);
  assert.equal(mostOf([], resin, startingColourants), 0);
});

test('parts make a mixture of 1, and two mixtures run into one another', () => {
  assert.deepEqual(
    mixtureOf([
      { colourantId: 'a', parts: 3 },
      { colourantId: 'b', parts: 1 },
      { colourantId: 'c', parts: 0 },
    ]),
    [
      { colourantId: 'a', load: 0.75 },
      { colourantId: 'b', load: 0.25 },
    ],
  );
  assert.deepEqual(mixtureOf([]), []);
  assert.deepEqual(blend([{ colourantId: 'a', load: 1 }], [{ colourantId: 'b', load: 1 }], 0.25), [
    { colourantId: 'a', load: 0.75 },
    { colourantId: 'b', load: 0.25 },
  ]);
});

test('the search takes the smallest load where two would do', () => {
  // falls, then rises again
  const at = (x: number): number => 1 - x * (1 - x) * 4;
  near(loadFor(0.5, at, 1).load, (1 - Math.SQRT1_2) / 2, 1e-4);
  assert.equal(loadFor(-1, at, 1).stops, 'mixture');
});

test('differences of colour are CIEDE2000', () => {
  assert.equal(deltaE(ofHex('#808080'), ofHex('#808080')), 0);
  near(deltaE([1, 1, 1], [0, 0, 0]), 100, 0.01);
  assert.equal(hexOf(ofHex('#1a4f7a')), '#1a4f7a');
  assert.throws(() => ofHex('blue-ish'), /no colour/);
  assert.equal(hue([0.3, 0.3, 0.3]), undefined);
});
