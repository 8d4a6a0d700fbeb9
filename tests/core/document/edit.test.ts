import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { linesOf, openStudio, tintsOf, writeStudio, type Piece } from '#core/document';
import { emptyStudio } from '#core/craft';
import {
  duplicated,
  startingPiece,
  startingCoat,
  type BoardAnswers,
  movedTo,
  withCoatAdded,
  withFilm,
  withLoad,
  withPoint,
  withPointAdded,
  withoutPoint,
  withShape,
  withoutCoat,
} from '#core/edit';
import { empty, piece, sample } from '../../factories';

const pointsOf = (p: Piece, key: string) => linesOf(p.sea).find((line) => line.key === key)!.points;

test('a point is dragged to a tenth of a mm', () => {
  const moved = withPoint(piece(), 'shoreline', 2, { x: 200.04, y: 150.26 });
  assert.deepEqual(moved.sea.shoreline[2], { x: 200, y: 150.3 });
  assert.deepEqual(moved.sea.edges, piece().sea.edges);
  assert.deepEqual(withPoint(piece(), 'edge:1', 0, { x: 0, y: 99 }).sea.edges[1]![0], { x: 0, y: 99 });
});

test('wherever a point is dragged, it stays on the board, apart from its neighbours, and ends stay on the sides', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('shoreline', 'edge:0', 'edge:3'),
      fc.nat(4),
      fc.double({ min: -2000, max: 2000, noNaN: true }),
      fc.double({ min: -2000, max: 2000, noNaN: true }),
      (key, index, x, y) => {
        const points = pointsOf(withPoint(piece(), key, index, { x, y }), key);
        assert.ok(points.every((p) => p.x >= 0 && p.x <= 400 && p.y >= 0 && p.y <= 300));
        assert.ok(points.every((p, i) => i === 0 || Math.hypot(p.x - points[i - 1]!.x, p.y - points[i - 1]!.y) >= 0.9));
        for (const end of [points[0]!, points[4]!]) assert.ok(end.x === 0 || end.x === 400 || end.y === 0 || end.y === 300);
      },
    ),
  );
});

test('an end dragged past a corner goes on along the next side, as a corner cove wants', () => {
  assert.deepEqual(withPoint(piece(), 'shoreline', 4, { x: 330, y: 320 }).sea.shoreline[4], { x: 330, y: 300 });
});

test('points are added and taken off, down to the two that make a curve', () => {
  const more = withPointAdded(piece(), 'shoreline', 1, { x: 150, y: 180 });
  assert.deepEqual(more.sea.shoreline[2], { x: 150, y: 180 });
  let less = more;
  for (let i = 0; i < 9; i++) less = withoutPoint(less, 'shoreline', 1);
  assert.equal(less.sea.shoreline.length, 2);
});

test('a point or a curve that is not there is refused', () => {
  assert.throws(() => withPoint(piece(), 'edge:9', 0, { x: 0, y: 0 }), RangeError);
  assert.throws(() => withPoint(piece(), 'shoreline', 9, { x: 0, y: 0 }), RangeError);
  assert.throws(() => withPointAdded(piece(), 'breaker:none', 0, { x: 0, y: 0 }), RangeError);
});

test('a board of another size takes its sea along', () => {
  const wide = withShape(piece(), { kind: 'rectangle', width: 800, height: 600 });
  assert.deepEqual(
    wide.sea.shoreline,
    piece().sea.shoreline.map((p) => ({ x: p.x * 2, y: p.y * 2 })),
  );
  const round = withShape(piece(), { kind: 'round', diameter: 200 });
  assert.equal(round.sea.edges[0]!.at(-1)!.x, 200);
});

test('films and loads are changed where they are, and nowhere else', () => {
  const p = piece();
  const [sand, sea, wave] = p.coats;
  assert.equal((withFilm(p, sea!.id, 2.2).coats[1] as { film: number }).film, 2.2);
  assert.deepEqual(withFilm(p, wave!.id, 2.2), p);
  const bluer = withLoad(p, sea!.id, 1, { colourantId: 'phthalo-blue', load: 0.01 });
  assert.equal(tintsOf(bluer.coats[1]!)[1]!.recipe[0]!.load, 0.01);
  assert.deepEqual(tintsOf(bluer.coats[1]!)[0], tintsOf(sea!)[0]);
  const greyer = withLoad(p, sea!.id, 0, { colourantId: 'white-paste', load: 0.002 });
  assert.equal(tintsOf(greyer.coats[1]!)[0]!.recipe.length, 3);
  assert.equal(tintsOf(withLoad(p, wave!.id, 0, { colourantId: 'white-paste', load: 0.04 }).coats[2]!)[0]!.recipe[0]!.load, 0.04);
  assert.deepEqual(withLoad(p, sand!.id, 0, { colourantId: 'white-paste', load: 0.04 }), p);
});

test('taking the first coat of a pour off lets the next one begin it', () => {
  const p = piece();
  const without = withoutCoat(p, p.coats[0]!.id);
  assert.deepEqual(
    without.coats.map((c) => [c.kind, c.samePour]),
    [
      ['sea', false],
      ['wave', true],
      ['top', false],
    ],
  );
  assert.deepEqual(withoutCoat(p, 'none'), p);
  const glaze = startingCoat('glaze', 'g', p.coats[0]!.resinId, 5, empty);
  assert.equal(withCoatAdded(p, glaze).coats.at(-2)!.kind, 'glaze', 'below the clear top');
});

test('a new piece is one the document accepts, whatever its board', () => {
  const answers = fc.record<BoardAnswers>({
    name: fc.constant('A piece'),
    count: fc.integer({ min: 1, max: 50 }),
    use: fc.constantFrom('wall', 'food', 'hot mugs'),
    shape: fc.oneof(
      fc.record({ kind: fc.constant('round' as const), diameter: fc.integer({ min: 20, max: 3000 }) }),
      fc.record({
        kind: fc.constantFrom('rectangle' as const, 'oval' as const),
        width: fc.integer({ min: 20, max: 3000 }),
        height: fc.integer({ min: 20, max: 3000 }),
      }),
    ),
    thickness: fc.integer({ min: 1, max: 100 }),
    surface: fc.constant({ material: 'slate', primer: 'none', primerCoats: 0 }),
    edge: fc.constantFrom('run over', 'taped', 'dammed'),
    resinId: fc.constant(empty.resins[0]!.id),
  });
  fc.assert(
    fc.property(answers, (a) => assert.ok(openStudio(writeStudio({ ...emptyStudio(), pieces: [startingPiece('p', a, empty)] })).ok)),
    { numRuns: 50 },
  );
});

test('a new piece only uses colourants that are on the shelf', () => {
  const bare = startingPiece(
    'p',
    {
      name: 'x',
      count: 1,
      use: 'wall',
      shape: { kind: 'round', diameter: 100 },
      thickness: 9,
      surface: { material: 'mdf', primer: 'gesso', primerCoats: 2 },
      edge: 'taped',
      resinId: 'r',
    },
    { colourants: [], resins: [] },
  );
  assert.ok(bare.coats.flatMap(tintsOf).every((t) => t.recipe.length === 0));
});

test('the sample moved to another moment: films keep their age to the hour, plans keep their hour of day', () => {
  const [recorded, now] = [Date.parse('2026-11-25T13:36:00Z'), Date.parse('2027-03-02T08:10:00Z')];
  const [before, after] = [sample(), movedTo(sample(), recorded, now)];
  for (const [i, pour] of after.pours.entries()) {
    const [was, is] = [recorded - Date.parse(before.pours[i]!.startedAt), now - Date.parse(pour.startedAt)];
    assert.ok(is >= was && is - was < 3_600_000);
    assert.deepEqual(
      pour.events.map((e) => e.kind),
      before.pours[i]!.events.map((e) => e.kind),
    );
  }
  const planned = after.pieces.filter((p) => p.pourAt);
  assert.ok(planned.length && planned.every((p) => Date.parse(p.pourAt!) > now));
  assert.deepEqual(
    planned.map((p) => p.pourAt!.slice(10)),
    before.pieces.filter((p) => p.pourAt).map((p) => p.pourAt!.slice(10)),
  );
  assert.ok(openStudio(writeStudio(after)).ok);
});

test('a piece is made once more under ids of its own, and its dates stay with the first', () => {
  const studio = sample();
  const names = studio.pieces.map((p) => p.name);
  const ids = studio.pieces.map((p) => p.id);
  for (const first of studio.pieces) {
    const copy = duplicated(first, names, ids);
    assert.equal(copy.name, `${first.name}, again`);
    assert.ok(!ids.includes(copy.id));
    assert.deepEqual([copy.pourAt, copy.dueOn, copy.beside], [undefined, undefined, undefined]);
    assert.deepEqual(
      copy.coats.map(({ id: _, waits: __, ...rest }) => rest),
      first.coats.map(({ id: _, waits: __, ...rest }) => rest),
    );
    assert.ok(copy.coats.every((c) => !first.coats.some((k) => k.id === c.id)));
    assert.ok(openStudio(writeStudio({ ...studio, pieces: [...studio.pieces, copy] })).ok, first.name);
    assert.equal(duplicated(copy, [...names, copy.name], [...ids, copy.id]).name, `${first.name}, again 2`);
  }
});
