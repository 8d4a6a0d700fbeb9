import assert from 'node:assert/strict';
import { test } from 'node:test';
import { merged, mergingOf } from '#core/edit';
import { problemsOf, type Studio } from '#core/document';
import { sample } from '../../factories';

const other = (): Studio => {
  const studio = sample();
  const piece = studio.pieces[0]!;
  return {
    ...studio,
    pieces: [{ ...piece, name: 'Renamed there' }, ...studio.pieces.slice(1), { ...piece, id: 'from-there', name: 'From there' }],
    pours: studio.pours.map((p, i) => (i === 0 ? { ...p, events: p.events.slice(0, 4) } : p)),
  };
};

test('what bringing a studio in would do is told list by list before it is done', () => {
  const changes = mergingOf(sample(), other());
  const of = (list: string) => changes.find((c) => c.list === list)!;
  assert.deepEqual(of('pieces').added, ['From there']);
  assert.deepEqual(of('pieces').differ, ['Renamed there']);
  assert.equal(of('pieces').same, sample().pieces.length - 1);
  assert.deepEqual([of('resins').added, of('resins').differ], [[], []]);
});

test('two studios become one by their ids, with mine or theirs where they differ, and it opens', () => {
  const here = sample();
  for (const prefer of ['here', 'incoming'] as const) {
    const one = merged(here, other(), prefer);
    assert.deepEqual(problemsOf(one), []);
    assert.equal(one.pieces.length, here.pieces.length + 1);
    assert.equal(one.pieces.find((p) => p.id === here.pieces[0]!.id)!.name, prefer === 'here' ? here.pieces[0]!.name : 'Renamed there');
    assert.deepEqual(one.settings, here.settings);
    // a record is never shortened, whichever is asked for
    assert.equal(one.pours[0]!.events.length, here.pours[0]!.events.length);
  }
  const longer = merged(other(), here, 'here');
  assert.equal(longer.pours.find((p) => p.id === here.pours[0]!.id)!.events.length, here.pours[0]!.events.length);
  assert.deepEqual(merged(here, here, 'incoming').pieces, here.pieces);
});
