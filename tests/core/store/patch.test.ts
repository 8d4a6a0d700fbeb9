import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  newCoatId,
  withCoatAdded,
  withCoatMoved,
  withFilm,
  withLoad,
  withoutCoat,
  withPoint,
  startingCoat,
  withDressing,
} from '#core/edit';
import type { Piece } from '#core/document';
import { patchBetween, patched } from '../../../src/lib/store/patch';
import { empty, piece, resin } from '../../factories';

const panel = piece();
const ids = panel.coats.map((c) => c.id);
const [, sea] = ids as [string, string];

/** Edits of a piece, each of one thing. */
const edits: ((p: Piece) => Piece)[] = [
  (p) => withFilm(p, sea, 1.3),
  (p) => withLoad(p, sea, 0, { colourantId: 'phthalo-blue', load: 0.01 }),
  (p) => withPoint(p, 'shoreline', 2, { x: 190, y: 140 }),
  (p) => ({ ...p, name: 'Another name' }),
  (p) => ({ ...p, dueOn: '2026-12-12' }),
  (p) => withoutCoat(p, ids.at(-1)!),
  (p) => withCoatMoved(p, ids[0]!, 2),
  (p) => withCoatAdded(p, startingCoat('glaze', newCoatId(p, 'glaze'), resin.id, 5, empty)),
  (p) => withDressing(p, 'shell'),
  ({ tapeOff: _, ...p }) => ({ ...p, edge: 'taped' }),
];

test('a patch makes after of before, and before of after', () => {
  for (const edit of edits) {
    const after = edit(panel);
    const patch = patchBetween(panel, after);
    assert.ok(patch.length > 0);
    assert.deepEqual(patched(panel, patch, 'forth'), after);
    assert.deepEqual(patched(after, patch, 'back'), panel);
  }
});

test('taking any edits back, the last first, leaves the piece as it was; doing them again, as they had left it', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...edits), { maxLength: 6 }), (list) => {
      const states = list.reduce((all, edit) => [...all, edit(all.at(-1)!)], [panel]);
      const patches = list.map((_, i) => patchBetween(states[i]!, states[i + 1]!));
      const back = patches.reduceRight((p, patch) => patched(p, patch, 'back'), states.at(-1)!);
      assert.deepEqual(back, panel);
      assert.deepEqual(
        patches.reduce((p, patch) => patched(p, patch, 'forth'), back),
        states.at(-1),
      );
    }),
  );
});

test('what another window changed beside it stays when an edit is taken back', () => {
  const thinner = withFilm(panel, sea, 1.3);
  const patch = patchBetween(panel, thinner);
  const other = withLoad(withCoatAdded(thinner, startingCoat('seal', 'a-seal', resin.id, 5, empty)), sea, 1, {
    colourantId: 'turquoise',
    load: 0.02,
  });
  const back = patched(other, patch, 'back');
  assert.deepEqual(back, withFilm(other, sea, 2), 'only the film is as it was');
});

test('a coat put in elsewhere keeps its place when the order of others is taken back', () => {
  const moved = withCoatMoved(panel, ids[0]!, 3);
  const patch = patchBetween(panel, moved);
  const seal = startingCoat('seal', 'a-seal', resin.id, 5, empty);
  const other = { ...moved, coats: [seal, ...moved.coats] };
  assert.deepEqual(
    patched(other, patch, 'back').coats.map((c) => c.id),
    ['a-seal', ...ids],
  );
});

test('what an edit changed in something that has gone meanwhile is passed over', () => {
  const thinner = withFilm(panel, sea, 1.3);
  const patch = patchBetween(panel, thinner);
  const gone = withoutCoat(thinner, sea);
  assert.deepEqual(patched(gone, patch, 'back'), gone);
});
