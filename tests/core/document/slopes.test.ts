import assert from 'node:assert/strict';
import { test } from 'node:test';
import { slopeTints, withCupCount, withCupInserted, withoutCup, withSlope } from '#core/edit';
import { startingSlope } from '#core/craft';
import { empty, piece, resin } from '../../factories';

const slope = startingSlope('own', 'Own', resin.id, empty.colourants);
const names = (s: typeof slope): string[] => s.cups.map((c) => c.name);

test('a slope starts as five cups of what is on the shelf; without colourants it starts empty', () => {
  assert.deepEqual(names(slope), ['Deep', 'Offshore', 'Mid', 'Shallow', 'Shore']);
  assert.deepEqual(
    [slope.deep, slope.toward].map((s) => s[0]!.colourantId),
    ['phthalo-blue', 'turquoise'],
  );
  assert.deepEqual(startingSlope('own', 'Own', resin.id, []).deep, []);
});

test('another number of cups renames those that had their ordinary names, and keeps names of one’s own', () => {
  assert.deepEqual(names(withCupCount(slope, 3)), ['Deep', 'Mid', 'Shore']);
  assert.deepEqual(names(withCupCount(withCupCount(slope, 8), 5)), names(slope));
  const own = { ...slope, cups: slope.cups.map((c, i) => (i === 0 ? { ...c, name: 'Trench' } : c)) };
  const six = withCupCount(own, 6);
  assert.equal(six.cups.length, 6);
  assert.deepEqual([names(six)[0], names(six)[5]], ['Trench', 'Shore']);
  assert.equal(new Set(six.cups.map((c) => c.id)).size, 6);
});

test('fewer cups: locked ones go last of all', () => {
  const locked = { ...slope, cups: slope.cups.map((c, i) => (i === 3 ? { ...c, recipe: [] } : c)) };
  assert.ok(withCupCount(locked, 3).cups.some((c) => c.recipe));
  assert.equal(withCupCount(locked, 2).cups.length, 2);
});

test('a cup put in takes the amount of its neighbour and a name nobody has', () => {
  const more = withCupInserted(slope, 2);
  assert.equal(more.cups[2]!.ml, slope.cups[2]!.ml);
  assert.equal(new Set(names(more)).size, 6);
  assert.deepEqual(withoutCup(more, more.cups[2]!.id), slope);
});

test('its tints go onto a sea, loads to four digits, the other way round when the palest comes first', () => {
  const recipes = slope.cups.map((_, i) => [{ colourantId: 'phthalo-blue', load: 0.00123456 / (i + 1) }]);
  const tints = slopeTints(slope, recipes);
  assert.equal(tints[0]!.recipe[0]!.load, 0.001235);
  assert.equal(slopeTints({ ...slope, palestFirst: true }, recipes)[0]!.name, 'Shore');
  const p = withSlope(piece(), 'test-sea', slope.id, tints);
  const sea = p.coats.find((c) => c.id === 'test-sea')!;
  assert.ok(sea.kind === 'sea' && sea.slopeId === 'own');
  assert.deepEqual(sea.kind === 'sea' && sea.tints, tints);
});
