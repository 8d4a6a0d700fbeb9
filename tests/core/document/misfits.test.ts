import assert from 'node:assert/strict';
import { test } from 'node:test';
import { standIns } from '#core/craft';
import { openStudio, sortOut, writeStudio, type Rows } from '#core/document';
import { sample } from '../../factories';

const rows = (): Rows => {
  const { format: _, version: __, ...studio } = sample();
  return structuredClone({ vessels: [], stock: [], slopes: [], ...studio }) as unknown as Rows;
};
type Row = Record<string, unknown>;
const at = (list: unknown[], i: number): Row => list[i] as Row;

test('rows that fit are left alone', () => {
  const { studio, misfits, sound } = sortOut(rows(), standIns);
  assert.deepEqual([misfits, sound], [[], true]);
  assert.equal(openStudio(writeStudio(studio)).ok, true);
});

const damages: [string, (r: Rows) => unknown, string[]][] = [
  ['a piece without a sea', (r) => delete at(r.pieces, 1)['sea'], ['pieces']],
  ['a piece with a coat of no kind', (r) => (at(r.pieces, 1)['coats'] = [{ kind: 'varnish' }]), ['pieces']],
  ['a shape that is null', (r) => (at(r.pieces, 0)['shape'] = null), ['pieces']],
  ['a row that is no object', (r) => (r.pieces[0] = 7), ['pieces']],
  ['a pour without a plan', (r) => delete at(r.pours, 0)['planned'], ['pours']],
  ['a pour of coats that are not there', (r) => (at(r.pours, 0)['of'] = [{ pieceId: 'nowhere', coatIds: ['x'] }]), ['pours']],
  ['settings of null', (r) => (r.settings = null), ['settings']],
  ['settings that are gone', (r) => (r.settings = undefined), ['settings']],
  ['habits without a number', (r) => delete (r.method as Row)['spare'], ['method']],
  ['a container of nothing', (r) => (at(r.stock, 0)['of'] = {}), ['stock']],
  ['a room that is too hot', (r) => (at(r.rooms, 0)['dayC'] = 400), ['rooms']],
  ['a slope without cups', (r) => (at(r.slopes, 0)['cups'] = []), ['slopes']],
];
for (const [name, spoil, from] of damages)
  test(`${name} is taken out with its reason, and what is left opens`, () => {
    const damaged = rows();
    spoil(damaged);
    const { studio, misfits } = sortOut(damaged, standIns);
    assert.deepEqual(
      misfits.map((m) => m.from),
      from,
    );
    assert.ok(misfits[0]!.why.length > 0);
    assert.equal(openStudio(writeStudio(studio)).ok, true);
  });

test('of a pour with one event that cannot be, only that event goes', () => {
  const damaged = rows();
  const events = at(damaged.pours, 0)['events'] as Row[];
  const kept = events.length - 1;
  events[2]!['at'] = 'yesterday';
  const { studio, misfits } = sortOut(damaged, standIns);
  assert.deepEqual([misfits.length, misfits[0]!.from, misfits[0]!.of], [1, 'events', at(damaged.pours, 0)['id']]);
  assert.equal(studio.pours[0]!.events.length, kept);
});

test('a resin that cannot be read leaves its pieces, with ordinary values in its place', () => {
  const damaged = rows();
  const pieces = damaged.pieces.length;
  at(damaged.resins, 0)['workingMin'] = 'long';
  const { studio, misfits } = sortOut(damaged, standIns);
  assert.deepEqual(
    misfits.map((m) => m.from),
    ['resins'],
  );
  assert.equal(studio.pieces.length, pieces);
  assert.equal(studio.resins[0]!.id, at(damaged.resins, 0)['id']);
});

test('settings in a room that is gone keep their units', () => {
  const damaged = rows();
  (damaged.settings as Row)['roomId'] = 'elsewhere';
  (damaged.settings as Row)['length'] = 'in';
  const { studio, misfits, sound } = sortOut(damaged, standIns);
  assert.deepEqual([misfits, sound], [[], false]);
  assert.deepEqual([studio.settings.length, studio.settings.roomId], ['in', studio.rooms[0]!.id]);
});
