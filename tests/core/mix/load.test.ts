import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingColourants } from '#core/craft';
import type { Colourant } from '#core/document';
import { dose, dropsFor, letDownFor, letDownsOf, totalLoad } from '#core/mix';
import { resin } from '../../factories';
import { near } from '../help';

const [blue, , white] = startingColourants as [Colourant, Colourant, Colourant];

test('a load of 0.000303 in 30 ml at 0.025 ml a drop is 0.36 drops; let down 1 : 9 it is 3.6', () => {
  const drops = dropsFor(0.000303, 30 * 1.1, { density: 1.1, dropMl: 0.025 });
  near(drops, 0.36);
  assert.equal(letDownFor(drops), 9);
  near(drops * 10, 3.6);
});

test('a let-down is proposed only under three drops, and the weakest that does', () => {
  assert.equal(letDownFor(3), undefined);
  assert.equal(letDownFor(0), undefined);
  assert.equal(letDownFor(2.9), 4);
  assert.equal(letDownFor(0.5), 9);
  assert.equal(letDownFor(0.2), 19);
});

test('whole drops, and the load of what is counted', () => {
  const d = dose({ colourantId: blue.id, load: 0.003 }, blue, 50);
  assert.equal(d.count, 5);
  assert.equal(d.letDown, undefined);
  near(d.load, (5 * 0.025 * 1.1) / 50, 1e-12);
});

test('a paste is weighed, and an empty cup takes nothing', () => {
  assert.deepEqual(dose({ colourantId: white.id, load: 0.06 }, white, 20), {
    colourantId: white.id,
    name: 'White paste',
    grams: 1.2,
    ml: 1.2 / 1.7,
    load: 0.06,
  });
  const little = dose({ colourantId: white.id, load: 0.06 }, white, 5, 0.1);
  assert.deepEqual([little.grams, little.letDown], [0.3, 4], 'under five steps of the scale it is weighed thinned');
  assert.equal(dose({ colourantId: white.id, load: 0.06 }, white, 5, 0.01).letDown, undefined, 'a finer scale shows it');
  assert.equal(dose({ colourantId: blue.id, load: 0.003 }, blue, 0).count, undefined);
  assert.equal(dose({ colourantId: blue.id, load: 0 }, blue, 50).count, 0);
});

test('cups of a pour share at most two let-downs of a colourant, one where it does for all', () => {
  const needs = (...loads: number[]) => loads.map((load) => ({ part: { colourantId: blue.id, load }, colourant: blue, resinG: 30 }));
  assert.equal(letDownsOf(needs(0.003, 0.01), 0.1).size, 0, 'where all can be counted neat there is none');
  assert.equal(letDownsOf(needs(0.0003, 0.0005, 0.003), 0.1).get(blue.id)!.length, 1);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 1e-6, max: 0.01, noNaN: true }), { minLength: 1, maxLength: 8 }), (loads) => {
      const shared = letDownsOf(needs(...loads), 0.1).get(blue.id) ?? [];
      assert.equal(shared.length <= 2, true);
      const used = loads.flatMap((load) => dose({ colourantId: blue.id, load }, blue, 30, 0.1, shared).letDown ?? []);
      assert.equal(
        used.every((n) => shared.includes(n)),
        true,
      );
    }),
  );
});

test('the counted load is within half a drop of the wanted one', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.00005, max: 0.05, noNaN: true }), fc.double({ min: 5, max: 500, noNaN: true }), (load, grams) => {
      const d = dose({ colourantId: blue.id, load }, blue, grams);
      const drop = (blue.dropMl! * blue.density) / ((d.letDown ?? 0) + 1) / grams;
      assert.ok(d.count! >= 1);
      assert.ok(d.count === 1 || Math.abs(d.load - load) <= drop / 2 + 1e-12);
      near(d.grams / grams, d.load, 1e-12);
    }),
  );
});

test('all colourants of a cup share the limit, by weight or by volume as the maker states it', () => {
  const parts = [
    { load: 0.02, density: 1.1 },
    { load: 0.03, density: 1.7 },
  ];
  near(totalLoad(parts, resin), 0.05, 1e-12);
  near(totalLoad(parts, { ...resin, loadLimitBy: 'volume' }), 1.065 * (0.02 / 1.1 + 0.03 / 1.7), 1e-12);
});
