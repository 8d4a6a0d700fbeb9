import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Coat, Piece, ThreadCoat } from '#core/document';
import { withBreaker, withoutLine } from '#core/edit';
import { planner, coat, coated, means, piece, plan, the, toldOf } from '../../factories';
import { amiss, followed, written } from '../../followed';
import { near } from '../help';

/** A panel with a thread poured with its sea: under the wave, or above it. */
function threaded(place: 'in the sea' | 'beside the white', change: Partial<ThreadCoat> = {}, p: Piece = piece()): Piece {
  const at = p.coats.findIndex((c) => c.kind === 'wave') + (place === 'in the sea' ? 0 : 1);
  return { ...p, coats: [...p.coats.slice(0, at), coat('thread', change), ...p.coats.slice(at)] };
}
const does = (p: Piece): string[] =>
  toldOf(p).steps.map((s) => (s.id.role === 'thread' ? 'thread' : s.id.does === 'pour' ? (s.id.role ?? '') : s.id.does));

test('a thread takes two thirds of its width times its height times its line', () => {
  const p = plan(threaded('in the sea', { lineWidth: 6, lineHeight: 1 }));
  const { cups } = p.coats.find((c) => c.coat.kind === 'thread')!;
  near(cups[0]!.makeup.laid, (4 * p.cut.shoreLength) / 1000, 1e-9);
  const own = withBreaker(piece());
  const along = plan(threaded('in the sea', { along: own.sea.breakers![0]!.id, lineWidth: 6 }, own));
  assert.ok(along.coats.find((c) => c.coat.kind === 'thread')!.cups[0]!.makeup.laid > 1);
});

test('it is drawn into the wet sea, or beside the white before that is heated', () => {
  const inSea = does(threaded('in the sea'));
  assert.ok(inSea.indexOf('thread') < inSea.indexOf('white'));
  const beside = does(threaded('beside the white'));
  assert.ok(beside.indexOf('white') < beside.indexOf('thread') && beside.indexOf('thread') < beside.indexOf('heat'), beside.join());
  const said = (p: Piece) => followed(p).says.find((w) => /thread/.test(w.says))!;
  assert.equal(said(threaded('in the sea')).says, 'Draw a thread of Thread along the shore, 60 mm out from it.');
  assert.match(said(threaded('in the sea')).detail, /Into the wet sea/);
  assert.match(said(threaded('beside the white')).detail, /Beside the white and not into it/);
});

test('what was laid meanwhile counts as the white’s rest', () => {
  const rested = coated(threaded('beside the white'), { wave: { rest: 10 } });
  const steps = toldOf(rested).steps.filter((s) => s.id.coat === the(rested, 'wave').id);
  const at = (d: string) => steps.find((s) => s.id.does === d)!.at;
  near(at('rest') - at('white'), 10, 0.01);
  assert.ok(steps.find((s) => s.id.does === 'rest')!.minutes! < 10);
});

test('it is seen on the chart in its own colour, in the section where it lies, and the sea is not tinted by it', () => {
  const [without, p] = [plan(piece()), plan(threaded('in the sea'))];
  assert.deepEqual(
    p.colours.patches.map((x) => x.colour),
    without.colours.patches.map((x) => x.colour),
  );
  const line = p.colours.foams.find((f) => f.coatId === 'thread-x')!;
  assert.equal(line.closed, 1);
  assert.notEqual(line.parts[2], without.colours.patches.find((x) => x.part === 2)!.colour);
  const { layings } = p.heights();
  const laying = layings.find((l) => l.of !== 'relief' && 'kind' in l.of && l.of.kind === 'thread')!;
  assert.ok(Math.max(...laying.thickness) > 0.5 && Math.max(...laying.thickness) <= 1);
});

test('a thread whose line is taken off runs along the shore', () => {
  const own = withBreaker(piece());
  const { id } = own.sea.breakers![0]!;
  assert.equal(the(withoutLine(threaded('in the sea', { along: id }, own), `breaker:${id}`), 'thread').along, undefined);
});

test('threads and every order of tints are right to the end, of one and of four, in every way of writing', () => {
  const orders = [undefined, 'deep first', 'shore first', 'after the white'] as const;
  for (const place of ['in the sea', 'beside the white'] as const)
    for (const order of orders)
      for (const under of ['barrier', 'gap', 'none', 'white first'] as const)
        for (const count of [1, 4])
          // how it is written hangs on neither the order nor the barrier
          for (const way of order || under !== 'barrier' ? (['usMarked'] as const) : (Object.keys(written) as (keyof typeof written)[])) {
            const p = coated({ ...threaded(place), count }, { sea: order && { order }, wave: { under } } as Parameters<typeof coated>[1]);
            const f = followed(p, way);
            assert.deepEqual(amiss(f), [], `${place} ${order} ${under} ${count} ${way}`);
            const order1 = f.told[0]!.steps.map((s) => s.at);
            assert.deepEqual(
              order1,
              [...order1].sort((a, b) => a - b),
            );
          }
});

test('tints that come after the white: white, tints, heat; nothing is warned of by that alone', () => {
  const p = coated(piece(), { sea: { order: 'after the white' } });
  const order = does(p);
  assert.ok(order.indexOf('white') < order.indexOf('tint') && order.lastIndexOf('tint') < order.indexOf('heat'), order.join());
  const warned = followed(p).findings.filter((x) => x.severity !== 'note');
  assert.deepEqual(
    warned.map((x) => x.says),
    [],
  );
  // the white is seen where it is on the chart, whenever it was laid
  assert.deepEqual(plan(p).colours.foams, plan(piece()).colours.foams);
});

test('in a session of two pieces a thread beside a white comes after that white', () => {
  const [a, b] = [
    threaded('beside the white'),
    { ...piece(), id: 'other', name: 'Other', coats: piece().coats.map((c): Coat => ({ ...c, id: `o-${c.id}` })) },
  ];
  const { steps } = planner.together(
    [a, b].map((x) => ({ plan: planner.plan(x, means), pour: 0 })),
    means,
  );
  const own = steps.filter((s) => s.id.piece === a.id).map((s) => (s.id.role === 'thread' ? 'thread' : s.id.does));
  assert.ok(own.indexOf('white') < own.indexOf('thread') && own.indexOf('thread') < own.indexOf('heat'), own.join());
});
