import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { steady } from '#core/air';
import { advise } from '#core/advice';
import { beach, emptyStudio, startingSeas } from '#core/craft';
import {
  startingBoard,
  startingCoat,
  startingPiece,
  type BoardAnswers,
  placeFor,
  withCoatAdded,
  withCoatMoved,
  withLace,
  withLines,
  withShape,
} from '#core/edit';
import type { Coat, Piece, Shape, Surface } from '#core/document';
import type { Means } from '#core/plan';
import { waveSection } from '#core/coat';
import { empty, method, piece, plan, resin, sample, planner, metric } from '../../factories';

const resins = [...empty.resins, ...sample().resins];
const shapes: Shape[] = [
  { kind: 'rectangle', width: 400, height: 300 },
  { kind: 'rectangle', width: 620, height: 120 },
  { kind: 'round', diameter: 300 },
  { kind: 'oval', width: 420, height: 280 },
  { kind: 'heart', width: 300, height: 280 },
  { kind: 'surf plank', width: 600, height: 180 },
  { kind: 'plank', width: 400, height: 200, handle: { length: 110, width: 50 } },
  { kind: 'slice', width: 300, height: 280, seed: 5, uneven: 0.06 },
];
const surfaces: Surface[] = [
  { material: 'raw wood', primer: 'gesso', primerCoats: 3 },
  { material: 'ply', primer: 'clear sealer', primerCoats: 2 },
  { material: 'ply', primer: 'none', primerCoats: 0, ground: 'foil' },
  { material: 'mdf', primer: 'paint', primerCoats: 2 },
  { material: 'raw wood', primer: 'none', primerCoats: 0 },
  { material: 'thin ply', primer: 'gesso', primerCoats: 3 },
  { material: 'varnished wood', primer: 'none', primerCoats: 0 },
  { material: 'slate', primer: 'none', primerCoats: 0 },
  { material: 'canvas', primer: 'gesso', primerCoats: 2 },
  { material: 'plastic', primer: 'scuff only', primerCoats: 0 },
  { material: 'cured resin', primer: 'scuff only', primerCoats: 0, colours: ['#12365a', '#d9c19a'] },
];
/** What a surface deserves to be told, whatever is poured on it. */
const ofTheSurface = new Set(['raw-wood-unprimed', 'thin-ply-single', 'over-varnish-unscuffed', 'canvas-too-large', 'board-sags']);

const worse = (p: Piece, means: Means): string[] =>
  advise({ plan: planner.plan(p, means), write: metric })
    .filter((f) => f.severity !== 'note' && !ofTheSurface.has(f.code))
    .map((f) => `${f.severity} ${f.code}: ${f.says}`);

test('no default warns of itself: a new piece of any shape, surface, sea and resin finds nothing worse than a note', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...shapes),
      fc.constantFrom(...surfaces),
      fc.constantFrom(...resins),
      fc.constantFrom(...startingSeas.map((s) => s.name)),
      fc.constantFrom<[BoardAnswers['edge'], number | undefined]>(
        ['run over', undefined],
        ['taped', undefined],
        ['dammed', undefined],
        ['wall', 12],
      ),
      fc.constantFrom(1, 2, 4),
      fc.double({ min: 20, max: 24, noNaN: true }),
      fc.constantFrom(...beach.ways.map((w) => w.value)),
      (shape, surface, one, sea, [edge, wallHeight], count, roomC, laid) => {
        const studio = { ...emptyStudio(), resins: [one] };
        const answers = {
          ...startingBoard(one.id),
          name: 'New',
          shape,
          surface,
          edge,
          count,
          ...(wallHeight !== undefined && { wallHeight }),
        };
        const p = startingPiece('new', answers, studio, sea, laid);
        const found = worse(p, { resins: [one], colourants: studio.colourants, method, air: steady(roomC) });
        assert.equal(found.join('\n'), '', `${one.name}, ${sea}, ${laid}, ${shape.kind}, ${edge}, ${count} at ${roomC} °C`);
      },
    ),
    { numRuns: 250 },
  );
});

test('a white that is laid in the last minute of its window is on time: nothing is said of it', () => {
  const quick = resins.find((r) => r.name === 'Quick recoat')!;
  const studio = { ...emptyStudio(), resins: [quick] };
  const answers = { ...startingBoard(quick.id), name: 'New', shape: shapes[0]!, count: 4 };
  const p = startingPiece('new', answers, studio, 'corner cove');
  // as warm as makes it so: the minute is on the edge, by what hangs on nothing but the room
  const edge = Array.from({ length: 200 }, (_, i) => ({
    resins: [quick],
    colourants: studio.colourants,
    method,
    air: steady(21 + i / 40),
  })).find((means) => {
    const { steps, batches } = planner.plan(p, means).pours.find(({ coats }) => coats.some((c) => c.coat.kind === 'wave'))!;
    const white = steps.find((s) => s.id.does === 'white')!;
    const over = white.at - white.mixedAt - batches[white.batch]!.windows.white!.until;
    return over > 0 && over < 0.4;
  });
  assert.ok(edge, 'there is such a room');
  assert.deepEqual(worse(p, edge), []);
});

test('a coat that is added with its ordinary figures finds nothing worse than a note either', () => {
  for (const one of resins)
    for (const kind of ['seal', 'base', 'glaze', 'clear', 'wave', 'top'] as const) {
      const studio = { ...emptyStudio(), resins: [one] };
      const p = startingPiece('new', { ...startingBoard(one.id), name: 'New' }, studio);
      const coat = startingCoat(kind, `${kind}-x`, one.id, 5, studio);
      const found = worse(withCoatAdded(p, coat), { resins: [one], colourants: studio.colourants, method, air: steady(21) });
      assert.equal(found.join('\n'), '', `${one.name}, ${kind}`);
    }
});

test('every way of drawing a wave and every lace keep its line and its reach within two times', () => {
  for (const how of ['fine', 'bold'] as const)
    for (const lace of ['some', 'open', 'bright'] as const)
      for (const first of ['lines', 'lace'] as const) {
        const changed = (c: Coat): Coat =>
          c.kind !== 'wave' ? c : first === 'lines' ? withLace(withLines(c, how), lace) : withLines(withLace(c, lace), how);
        const found = advise({ plan: plan({ ...piece(), coats: piece().coats.map(changed) }), write: metric });
        assert.equal(found.find((f) => f.code === 'white-two-ways')?.says, undefined, `${how} ${lace}`);
        const wave = piece()
          .coats.map(changed)
          .find((c) => c.kind === 'wave')!;
        assert.ok(wave.kind === 'wave' && waveSection(wave, method).clear > 0);
      }
});

test('a new coat lies where it belongs, below the clear top, and takes the resin of the coat it comes to lie on', () => {
  const { coats } = piece();
  const places = (['seal', 'base', 'sea', 'wave', 'glaze', 'clear', 'top'] as const).map((kind) => placeFor(coats, kind));
  assert.deepEqual(places, [0, 0, 3, 3, 3, 3, 4]);
  assert.deepEqual(
    (['seal', 'glaze', 'top'] as const).map((kind) => placeFor([], kind)),
    [0, 0, 0],
  );
});

test('a coat moved up and down again leaves the plan as it was, and the lowest waits for nothing', () => {
  const p = piece();
  const there = withCoatMoved(p, p.coats[0]!.id, 1);
  assert.deepEqual(withCoatMoved(there, p.coats[0]!.id, 0), p);
  const lowest = plan({ ...p, coats: [{ ...p.coats[1]!, samePour: true }, p.coats[3]!] });
  assert.deepEqual(
    lowest.pours.map((x) => x.coats.length),
    [1, 1],
  );
  assert.equal(
    advise({ plan: lowest, write: metric }).some((f) => f.code === 'waits-in-same-pour'),
    false,
  );
});

test('foil over ply is no bare wood, and nothing stands above a top coat that is not there', () => {
  const foil = piece({ surface: { material: 'ply', primer: 'none', primerCoats: 0, ground: 'foil' } });
  assert.equal(
    advise({ plan: plan(foil), write: metric }).some((f) => f.code === 'raw-wood-unprimed'),
    false,
  );
  const bare: Piece = {
    ...piece(),
    coats: piece().coats.slice(0, 3),
    dressings: [{ id: 'd', kind: 'stone', x: 200, y: 280, size: 20, height: 14, when: 'before resin' }],
  };
  const proud = advise({ plan: plan(bare), write: metric }).find((f) => f.code === 'dressing-proud')!;
  assert.match(proud.says, /above the last film/);
  assert.doesNotMatch(proud.fix, /the top more cover/);
});

test('the marks of a clock lie on the face, whatever its shape', () => {
  const face: Shape = { kind: 'round', diameter: 300 };
  const clock = { hole: 10, shaft: 24, dial: 110 };
  const made = startingPiece('c', { ...startingBoard(resin.id), name: 'Clock', shape: face, clock }, empty);
  assert.deepEqual(worse(made, { resins: [resin], colourants: empty.colourants, method, air: steady(21) }), [], 'a clock as it is offered');
  const dial = (shape: Shape, mm: number): boolean =>
    advise({ plan: plan({ ...withShape(piece(), shape), clock: { hole: 10, shaft: 40, dial: mm } }), write: metric }).some(
      (f) => f.code === 'clock-dial-wide',
    );
  assert.equal(dial({ kind: 'round', diameter: 300 }, 130), false);
  assert.equal(dial({ kind: 'round', diameter: 300 }, 155), true);
  assert.equal(dial({ kind: 'heart', width: 300, height: 280 }, 130), true, 'a heart is notched at twelve');
});
