import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { slopeCups, startingColourants } from '#core/craft';
import type { Part } from '#core/document';
import { mixedDensity } from '#core/mix';
import { counted, fromDeepest, fromPalest, lightness, recipeSeen, solveSlope, withWhite, type Built, type Rgb } from '#core/tint';
import { resin } from '../../factories';
import { near, sum } from '../help';

const white: Rgb = [0.8, 0.8, 0.8];
const bottle = { resin, colourants: startingColourants, scaleStep: 0.01 };
const solved = (ml: number, toward: Parameters<typeof solveSlope>[0]['toward'] = []) =>
  solveSlope(
    { film: 1.5, palest: 0.72, deepest: 0.4, turn: 0, deep: [{ colourantId: 'phthalo-blue', parts: 1 }], toward, cups: slopeCups(5, ml) },
    { resin, colourants: startingColourants, ground: white },
  );
const wanted = (ml: number) => solved(ml).cups.map((c) => ({ name: c.cup.name, ml, recipe: c.recipe }));
const steps = (built: Built) => {
  assert.ok(built.ok, built.ok ? '' : built.says);
  return built.steps;
};
const loadOf = (recipe: Part[], id = 'phthalo-blue'): number => recipe.find((p) => p.colourantId === id)?.load ?? 0;

/** What the cup holds of a colourant in the end, followed drop by drop: weight in, less what each pouring takes along. */
function followed(built: Built, id: string): number[] {
  let [grams, ml] = [0, built.ok ? built.startMl : 0];
  return steps(built).map((step) => {
    ml = step.inCup;
    grams += sum(step.add.filter((d) => d.colourantId === id).map((d) => d.grams));
    const load = grams / (ml * mixedDensity(resin));
    grams -= load * step.pourOff * mixedDensity(resin);
    return load;
  });
}

test('upward: palest first, whole drops, and what was rounded is made good in the next cup', () => {
  const built = fromPalest(wanted(40), bottle);
  const own = steps(built);
  assert.deepEqual(
    own.map((s) => s.cup),
    [4, 3, 2, 1, 0],
  );
  near(own[0]!.inCup, 200, 1e-9);
  assert.ok(own.every((s) => s.clearMl === 0 && s.add.every((d) => Number.isInteger(d.count))));
  followed(built, 'phthalo-blue').forEach((load, i) => near(load, loadOf(own[i]!.recipe), 1e-9));
  const drop = (0.025 * 1.1) / (40 * mixedDensity(resin));
  wanted(40).forEach((cup, i) => near(loadOf(own.find((s) => s.cup === i)!.recipe), loadOf(cup.recipe), drop / 2 + 1e-9));
});

test('upward: a colourant that falls toward the deep cannot be taken out again, and is named', () => {
  const cups = [
    { name: 'Deep', ml: 60, recipe: [{ colourantId: 'turquoise', load: 0.001 }] },
    { name: 'Shore', ml: 60, recipe: [{ colourantId: 'turquoise', load: 0.004 }] },
  ];
  const built = fromPalest(cups, bottle);
  assert.ok(!built.ok);
  assert.match(built.says, /Deep takes less Turquoise tint than Shore/);
  assert.ok(fromDeepest(cups, bottle).ok, 'downward it can be built: nothing falls more than clear thins');
});

test('downward with clear: each cup comes out as wanted, and the amounts add up', () => {
  fc.assert(
    fc.property(fc.double({ min: 15, max: 120, noNaN: true }), (ml) => {
      const built = fromDeepest(wanted(ml), bottle);
      const own = steps(built);
      assert.ok(built.ok);
      near(built.startMl + sum(own.map((s) => s.clearMl)), 5 * ml, 1e-6);
      followed(built, 'phthalo-blue').forEach((load, i) => near(load, loadOf(own[i]!.recipe), 1e-9));
      wanted(ml).forEach((cup, i) => assert.ok(Math.abs(loadOf(own[i]!.recipe) / loadOf(cup.recipe) - 1) < 0.18, `${i}`));
    }),
    { numRuns: 40 },
  );
});

test('downward with white: the blue stays, the white grows until each cup is as light as asked', () => {
  const { cups } = solved(60);
  const lights = cups.map((c) => c.wanted);
  const fine = { ...bottle, scaleStep: 0.0001 };
  const own = steps(withWhite(wanted(60), { wanted: lights, film: 1.5, ground: white, whiteId: 'white-paste' }, fine));
  assert.deepEqual(
    own.map((s) => s.cup),
    [0, 1, 2, 3, 4],
  );
  const whites = own.map((s) => loadOf(s.recipe, 'white-paste'));
  assert.deepEqual(
    whites,
    [...whites].sort((a, b) => a - b),
  );
  own.forEach((s) => near(loadOf(s.recipe), loadOf(own[0]!.recipe), 1e-12));
  own.forEach((s, i) => {
    if (!s.stops) near(lightness(recipeSeen(s.recipe, startingColourants, 1.5, white)), lights[i]!, 0.01);
  });
});

test('white that the limit stops says so', () => {
  const tight = { ...bottle, resin: { ...resin, loadLimit: 0.004 } };
  const own = steps(
    withWhite(wanted(60), { wanted: [0.4, 0.48, 0.56, 0.64, 0.9], film: 1.5, ground: white, whiteId: 'white-paste' }, tight),
  );
  assert.equal(own.at(-1)!.stops, 'limit');
  assert.ok(sum(own.at(-1)!.recipe.map((p) => p.load)) < 0.0042);
});

test('a recipe is counted in whole drops and steps of the scale, and less than half of the smallest is left out', () => {
  const made = counted(
    [
      { colourantId: 'phthalo-blue', load: 0.000303 },
      { colourantId: 'white-paste', load: 0.01 },
      { colourantId: 'turquoise', load: 1e-8 },
      { colourantId: 'gone', load: 0.01 },
    ],
    startingColourants,
    33,
    0.1,
  );
  assert.deepEqual(
    made.doses.map((d) => [d.colourantId, d.count, d.letDown]),
    [
      ['phthalo-blue', 4, 9],
      ['white-paste', undefined, 4],
    ],
  );
  // 0.33 g, weighed to a tenth of a gram as 1.7 g of one part in five
  near(made.doses[1]!.grams, 0.34, 1e-12);
  near(loadOf(made.recipe), (4 * 0.0275) / 10 / 33, 1e-12);
});
