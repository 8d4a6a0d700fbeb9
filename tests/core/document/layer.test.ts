import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Piece } from '#core/document';
import { canLayerAgain, withLayerAgain } from '#core/edit';
import { lightnessOf } from '#core/tint';
import { piece, plan } from '../../factories';
import { amiss, followed, written } from '../../followed';

const again = (p: Piece, pour: number): Piece =>
  withLayerAgain(
    p,
    plan(p).pours[pour]!.coats.map((c) => c.coat),
  );

test('another layer: the sea and its wave under the top, in a pour of their own, each time over less of the board', () => {
  const [one, two] = [again(piece(), 0), again(again(piece(), 0), 1)];
  assert.deepEqual(
    two.coats.map((c) => [c.kind, c.samePour]),
    [
      ['sand', false],
      ['sea', true],
      ['wave', true],
      ['sea', false],
      ['wave', true],
      ['sea', false],
      ['wave', true],
      ['top', false],
    ],
  );
  const seas = plan(two).coats.filter((c) => c.coat.kind === 'sea');
  assert.ok(seas[0]!.area > seas[1]!.area && seas[1]!.area > seas[2]!.area, seas.map((s) => s.area).join());
  const [first, second] = [one.coats[1]!, one.coats[3]!];
  assert.ok(first.kind === 'sea' && second.kind === 'sea');
  assert.equal(second.tints[0]!.recipe[0]!.load, first.tints[0]!.recipe[0]!.load / 2);
  assert.ok(second.over?.kind === 'deep' && second.over.share < 0.45, 'two thirds of what the sea takes of the board');
});

test('its wave breaks on a line of its own further out, and the lacing below it still reads', () => {
  const p = plan(again(piece(), 0));
  const [below, above] = p.coats.filter((c) => c.coat.kind === 'wave');
  assert.ok(below!.coat.kind === 'wave' && below!.coat.along === undefined);
  assert.ok(above!.coat.kind === 'wave' && p.piece.sea.breakers?.some((b) => b.id === (above!.coat as { along?: string }).along));
  const white = p.colours.foams[0]!.parts[1]!;
  assert.ok(lightnessOf(white) > 0.6, white);
});

test('a layer is right to the end in every way of writing; there are no more than twelve coats', () => {
  for (const way of Object.keys(written) as (keyof typeof written)[]) {
    const f = followed({ ...again(piece(), 0), count: 2 }, way);
    assert.deepEqual(amiss(f), []);
    assert.deepEqual(
      f.findings.filter((x) => x.severity === 'stop').map((x) => x.says),
      [],
    );
  }
  let p = piece();
  for (let i = 0; i < 9; i++) p = again(p, 0);
  assert.ok(p.coats.length <= 12);
  assert.equal(
    canLayerAgain(
      p,
      plan(p).pours[0]!.coats.map((c) => c.coat),
    ),
    false,
  );
  assert.equal(
    canLayerAgain(
      piece(),
      plan(piece()).pours[1]!.coats.map((c) => c.coat),
    ),
    false,
    'a clear top is no layer',
  );
});
