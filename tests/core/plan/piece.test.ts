import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { steady } from '#core/air';
import { startingCoat, withCoat, withFilm, withShape } from '#core/edit';
import type { Coat, Piece } from '#core/document';
import { cupContent } from '#core/mix';
import { groupCoats } from '#core/coat';
import { whiteThickness, type Batch, type PiecePlan } from '#core/plan';
import { empty, means, method, piece, plan, resin, sample, planner } from '../../factories';
import { near, sum } from '../help';

const batch = (p: PiecePlan, pour = 0): Batch => p.pours[pour]!.batches[0]!;
const cup = (p: PiecePlan, name: string) =>
  p.pours
    .flatMap((x) => x.batches)
    .flatMap((b) => b.cups)
    .find((c) => c.name === name)!;

test('a starting panel: beach, five tints, clear line and white in one batch, and a clear top for another day', () => {
  const p = plan();
  assert.deepEqual(
    p.pours.map((x) => x.coats.map((c) => c.name)),
    [['Sand', 'Sea, five tints', 'Wave'], ['Clear top']],
  );
  assert.deepEqual(
    batch(p).cups.map((c) => c.name),
    ['Sand', 'Deep', 'Offshore', 'Mid', 'Shallow', 'Shore', 'Clear under the white', 'White'],
  );
  assert.equal(p.area, 120000);
  assert.equal(p.rim, 1400);
});

/** The piece with a clear film of 1 mm in the place of its top, whose film follows from the ground. */
const withClear = (p: Piece): Piece => ({
  ...p,
  coats: p.coats.map((c) => (c.kind === 'top' ? startingCoat('clear', c.id, c.resinId, 5, empty) : c)),
});

test('one cup by hand: film, what runs over, spare, what stays in the cup, and its two parts', () => {
  const clear = cup(plan(withClear(piece())), 'Clear');
  const laid = 120;
  const over = (1400 * 18 * 0.2) / 1000 + 1.4 * 6;
  near(clear.makeup.laid, laid, 1e-6);
  near(clear.makeup.runsOver, over, 1e-6);
  near(clear.needed, 1.05 * (laid + over), 1e-6);
  near(clear.ml, (1.05 * (laid + over) + 1) / 0.98, 1e-6);
  near(clear.parts.aG, (clear.ml / 2) * 1.15, 1e-9);
  near(clear.parts.bG, (clear.ml / 2) * 0.98, 1e-9);
});

test('a taped edge loses nothing over the rim', () => {
  const taped = cup(plan(withClear(piece({ edge: 'taped' }))), 'Clear');
  assert.equal(taped.makeup.runsOver, 0);
  near(taped.needed, 126, 1e-6);
});

test('a lone cup is mixed in itself; several are filled from a mixing cup that keeps its share', () => {
  const p = plan();
  near(batch(p).ml, cupContent(sum(batch(p).cups.map((c) => c.ml)), method), 1e-9);
  assert.equal(batch(p, 1).ml, batch(p, 1).cups[0]!.ml);
});

test('sand takes room: the beach orders less resin than its volume, and the sand to go with it', () => {
  const sand = cup(plan(), 'Sand');
  assert.ok(sand.ml < 0.65 * (sand.needed + sand.makeup.stays));
  near(sand.sandG, 1.5 * (sand.parts.aG + sand.parts.bG), 1e-9);
});

const films = fc.double({ min: 0.2, max: 4, noNaN: true });
const pieces: fc.Arbitrary<Piece> = fc
  .record({
    film: films,
    edge: fc.constantFrom('run over' as const, 'taped' as const),
    count: fc.integer({ min: 1, max: 6 }),
    width: fc.integer({ min: 60, max: 1200 }),
    height: fc.integer({ min: 60, max: 900 }),
    round: fc.boolean(),
  })
  .map(({ film, edge, count, width, height, round }) => {
    const shape = round ? { kind: 'round' as const, diameter: width } : { kind: 'rectangle' as const, width, height };
    const p = withShape(piece({ edge, count }), shape);
    return p.coats.reduce((q, c) => withFilm(q, c.id, film), p);
  });

test('cups add up: tints cover the sea, sand and sea the board, and the batch is its cups', () => {
  fc.assert(
    fc.property(pieces, (one) => {
      const p = plan(one);
      const [sand, sea, , clear] = p.coats;
      near((sand!.area + sea!.area) / (p.area * one.count), 1, 0.001);
      near(clear!.area / (p.area * one.count), 1, 0.001);
      near(sum(sea!.cups.map((c) => c.needed)) / sea!.ml, 1, 1e-9);
      const b = batch(p);
      near((b.parts.aMl + b.parts.bMl) / b.ml, 1, 1e-9);
      near(sum(b.cups.map((c) => c.parts.aMl + c.parts.bMl)) / sum(b.cups.map((c) => c.ml)), 1, 1e-9);
      for (const c of b.cups) near(c.makeup.laid + c.makeup.runsOver + c.makeup.spare, c.needed, 1e-6);
    }),
    { numRuns: 40 },
  );
});

test('a taped board k times as large in both directions needs k² as much, and k pieces need k times one', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 3, noNaN: true }), fc.integer({ min: 2, max: 9 }), (k, n) => {
      const one = withClear(piece({ edge: 'taped' }));
      const wide = withShape(one, { kind: 'rectangle', width: 400 * k, height: 300 * k });
      near(cup(plan(wide), 'Clear').needed / cup(plan(one), 'Clear').needed / (k * k), 1, 1e-3);
      near(cup(plan(wide), 'Deep').needed / cup(plan(one), 'Deep').needed / (k * k), 1, 1e-3);
      const many = plan({ ...piece(), count: n });
      for (const c of plan().pours[0]!.batches[0]!.cups) near(cup(many, c.name).needed / c.needed, n, 1e-6);
    }),
    { numRuns: 20 },
  );
});

test('twice the film is twice what is laid', () => {
  const p = piece({ edge: 'taped' });
  near(cup(plan(withFilm(p, p.coats[1]!.id, 4)), 'Mid').needed / cup(plan(p), 'Mid').needed, 2, 1e-9);
});

test('steps come in the order of the hands, and the wave waits for its minute', () => {
  const { steps, batches } = plan().pours[0]!;
  assert.deepEqual(
    steps.map((s) => s.id.does),
    ['mix', 'thin', 'pour', 'pour', 'pour', 'pour', 'pour', 'pour', 'line', 'white', 'heat', 'heat', 'cover'],
  );
  assert.equal(steps[0]!.at, 0);
  // stir 4, thin two colourants, colour seven cups a minute each, then a minute for the cup and one for each 100 ml of it
  near(steps[1]!.at, 4 + 1, 1e-9);
  near(steps[2]!.at, 4 + 1 + 7 + 1 + steps[2]!.uses[0]!.ml / 100, 1e-9);
  const [white] = steps.filter((s) => s.id.does === 'white');
  assert.equal(white!.at, Math.ceil(batches[0]!.windows.whiteBest!.from), 'when it is crispest');
  const own = plan(withCoat(piece(), piece().coats[2]!.id, (c) => ({ ...c, layAt: 30 }) as Coat)).pours[0]!.steps;
  assert.equal(own.find((s) => s.id.does === 'white')!.at, 30, 'or at the minute it is given');
  assert.ok(steps.every((s, i) => i === 0 || s.at >= steps[i - 1]!.at));
});

test('two resins in one pour are two batches, each on its own clock', () => {
  const other = { ...resin, id: 'other', name: 'Other', stirMin: 3 };
  const p = piece();
  const mixed = withCoat(p, p.coats[1]!.id, (c) => ({ ...c, resinId: 'other' }) as Coat);
  const { batches, steps } = planner.plan(mixed, { ...means, resins: [resin, other] }).pours[0]!;
  assert.deepEqual(
    batches.map((b) => b.resin.id),
    [resin.id, 'other'],
  );
  assert.deepEqual(
    steps.filter((s) => s.id.does === 'mix').map((s) => s.batch),
    [0, 1],
  );
  const white = steps.find((s) => s.id.does === 'white')!;
  assert.equal(white.mixedAt, 0);
});

test('a coat of a resin that is not on the shelf is refused', () => {
  assert.throws(
    () =>
      planner.plan(
        withCoat(piece(), piece().coats[0]!.id, (c) => ({ ...c, resinId: 'none' }) as Coat),
        means,
      ),
    RangeError,
  );
});

test('coats join the pour of the one below where they say so', () => {
  const kinds = (coats: Coat[]) => groupCoats(coats).map((g) => g.length);
  assert.deepEqual(kinds(piece().coats), [3, 1]);
  assert.deepEqual(kinds([]), []);
});

test('the white thickens, and crosses 1.8 Pa·s where its window opens', () => {
  const b = batch(plan());
  near(whiteThickness(b, means, b.windows.white!.from), 1.8, 0.01);
  assert.ok(whiteThickness(b, means, 5) < whiteThickness(b, means, 20));
});

const brightness = (hex: string): number => sum([1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)));
const colourOfPart = ({ patches }: PiecePlan['colours'], part: number): string | undefined => patches.find((p) => p.part === part)?.colour;
const seenAt = (p: PiecePlan, part: number): number => brightness(colourOfPart(p.colours, part)!);

test('chart colours: the deep is darkest, a clear top wets a bare board, foam is the lightest of the sea', () => {
  const p = plan();
  const sea = [1, 2, 3, 4, 5].map((part) => seenAt(p, part));
  assert.ok(sea.every((v, i) => i === 0 || v < sea[i - 1]!));
  assert.ok(brightness(p.colours.foams[0]!.parts[5]!) > sea[0]!);
  const wood = piece({ coats: [], surface: { material: 'raw wood', primer: 'clear sealer', primerCoats: 2 } });
  const wetted = { ...wood, coats: [piece().coats[3]!] };
  assert.ok(seenAt(plan(wetted), 0) < seenAt(plan(wood), 0));
  assert.deepEqual(plan(wood).colours.foams, []);
});

test('a ground no model knows is hatched until sand hides it, and a glaze over half the board darkens only that half', () => {
  const foil = plan(piece({ surface: { ...piece().surface, ground: 'foil' } }));
  assert.equal(colourOfPart(foil.colours, 3), undefined);
  assert.ok(colourOfPart(foil.colours, 0));
  const p = piece();
  const glaze: Coat = { ...startingCoat('glaze', 'g', p.coats[0]!.resinId, 5, empty), over: { kind: 'deep', share: 0.25 } };
  const { patches } = plan({ ...p, coats: [...p.coats, glaze] }).colours;
  const deep = patches.filter((x) => x.part === 4);
  assert.equal(deep.length, 2);
  assert.ok(brightness(deep[0]!.colour!) < brightness(deep[1]!.colour!));
});

test('the same piece gives the same plan, and every sample piece has one', () => {
  assert.deepEqual(plan().pours[0]!.batches[0]!.cups, plan().pours[0]!.batches[0]!.cups);
  const studio = sample();
  for (const p of studio.pieces) {
    const planned = planner.plan(p, { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21.4) });
    assert.ok(
      planned.pours.every((x) => x.batches.length),
      p.name,
    );
    assert.equal(planned.cut.crossed, false, p.name);
  }
});
