import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { cupKey, type Coat, type Dressing, type Piece, type SandCoat, type WaveCoat } from '#core/document';
import { withDressing, withDressingChanged, withBreaker } from '#core/edit';
import type { PourPlan, Step } from '#core/plan';
import { means, method, piece, plan, resin, planner, coated } from '../../factories';
import { near, sum } from '../help';

const panel = piece();
const [sand, sea, wave, top] = panel.coats as [SandCoat, Coat, WaveCoat, Coat];
const does = ({ steps }: PourPlan): string[] => steps.map((s) => s.id.does);
const of = ({ steps }: PourPlan, kind: Step['id']['does']): Step => steps.find((s) => s.id.does === kind)!;
const first = (p: Piece, change = {}): PourPlan => plan(p, change).pours[0]!;
const waved = (wave: Partial<WaveCoat>, p: Piece = panel): Piece => coated(p, { wave });
const set = (kind: Dressing['kind'], when: Dressing['when'], p: Piece = panel): Piece => {
  const next = withDressing(p, kind, { x: 200, y: 250 });
  return withDressingChanged(next, next.dressings!.at(-1)!.id, { when });
};

test('dry sand that stays pale is strewn after the last heat, so that none of it flies', () => {
  const pour = first({ ...panel, sea: { ...panel.sea, dry: { from: 60 } } });
  assert.ok(does(pour).indexOf('strew') > does(pour).lastIndexOf('heat'));
  assert.ok(of(pour, 'strew').grams! > 0);
  assert.equal(does(first(panel)).includes('strew'), false);
});

test('gravel has clear of its own for its pores, and a step with both amounts', () => {
  const pour = first({ ...panel, sea: { ...panel.sea, gravel: { from: 0, to: 30 } } });
  const cup = pour.batches.flatMap((b) => b.cups).find((c) => c.id.role === 'gravel')!;
  const step = pour.steps.find((s) => s.id.role === 'gravel')!;
  // one layer of 4 mm, four tenths of it pores, and its stones by 1.5 g/ml
  near(cup.makeup.laid / step.grams!, (4 * 0.4) / (4 * 1.5), 1e-9);
});

test('what is set on the board has its step, its minute and its dip of clear', () => {
  const shells = set('shell', 'after the wave', set('shell', 'after the wave'));
  const pour = first({ ...shells, count: 2 });
  const step = of(pour, 'dress');
  assert.deepEqual([step.count, step.id.dressing], [4, 'shell']);
  assert.ok(does(pour).indexOf('dress') > does(pour).lastIndexOf('heat'));
  assert.ok(step.at - step.mixedAt >= pour.batches[0]!.windows.shells.from, 'once the film holds them');
  const line = pour.batches.flatMap((b) => b.cups).find((c) => cupKey(c.id) === cupKey(step.uses[0]!.cup))!;
  assert.equal(line.id.role, 'line', 'dipped in the clear that is held back anyway');
  near(sum(line.serves.map((s) => s.share)), 1, 1e-9);
  // a film of 0.2 mm over a dome of 18 by 8 mm, and the spare
  const dip = (0.2 * ((Math.PI * 18 ** 2) / 4 + (Math.PI * 18 * 8) / 2)) / 1000;
  near(step.uses[0]!.ml, 4 * dip * 1.05, 1e-6);
});

test('on the wet base it is set before the wave; between the coats with the top’s own clear, before the top is poured', () => {
  const base = first(set('stone', 'on the wet base'));
  assert.ok(does(base).indexOf('dress') < does(base).indexOf('white'));
  const [, second] = plan(set('creature', 'between coats')).pours;
  assert.deepEqual(does(second!).slice(0, 3), ['mix', 'dress', 'pour']);
  assert.equal(of(second!, 'dress').uses[0]!.cup.role, 'top');
  assert.equal(does(first(set('stone', 'before resin'))).includes('dress'), false, 'glued before any resin');
});

test('additive goes into the white just before it is laid; into every cup where that is wanted', () => {
  const helped = { additive: 'silicone', additiveDrops: 3 } as const;
  const pour = first(waved(helped));
  const order = does(pour);
  assert.ok(order.indexOf('additive') < order.indexOf('white') && order.indexOf('additive') > order.lastIndexOf('pour'));
  assert.deepEqual(of(pour, 'additive').additive, { name: 'silicone', drops: 3, part: 'all' });
  assert.equal(of(first(waved({ ...helped, additiveInto: 'half of the white' })), 'additive').additive!.part, 'half');
  const helpedCups = (into: WaveCoat['additiveInto']): string[] =>
    first(waved({ ...helped, ...(into && { additiveInto: into }) }))
      .batches.flatMap((b) => b.cups)
      .filter((c) => c.made.additive)
      .map((c) => c.name);
  assert.deepEqual(helpedCups('the white'), ['White']);
  const every = first(waved({ ...helped, additiveInto: 'every cup' }));
  assert.deepEqual(does(every).slice(0, 3), ['mix', 'thin', 'additive'], 'as they are coloured');
  assert.deepEqual([of(every, 'additive').additive!.part, of(every, 'additive').uses.length], ['every', 6]);
  assert.deepEqual(helpedCups('every cup'), ['Deep', 'Offshore', 'Mid', 'Shallow', 'Shore', 'White']);
});

test('run-off is brought up the sides as it thickens, where the edge runs over and the studio does so', () => {
  const painted = { method: { ...method, runOff: 'painted up' as const } };
  const pour = first(panel, painted);
  assert.ok(of(pour, 'sides').at >= pour.batches[0]!.windows.tint.until);
  assert.equal(does(first({ ...panel, edge: 'taped' }, painted)).includes('sides'), false);
  assert.equal(does(first(panel)).includes('sides'), false);
});

test('a white may rest on the board before heat, and tape that comes off soft comes off after the working time', () => {
  const pour = first(waved({ rest: 4 }, { ...panel, edge: 'taped', tapeOff: 'while soft' }));
  const order = does(pour);
  assert.deepEqual(order.slice(order.indexOf('white'), order.indexOf('white') + 3), ['white', 'rest', 'heat']);
  near(of(pour, 'rest').at - of(pour, 'white').at, 4, 1e-9);
  assert.deepEqual(order.slice(-2), ['cover', 'peel']);
  assert.ok(of(pour, 'peel').at >= pour.batches[0]!.windows.leave.from);
  assert.equal(does(first({ ...panel, edge: 'taped' })).includes('peel'), false);
});

test('two waves take their white from one cup, each at its minute after that cup was mixed; too late, it is mixed anew', () => {
  const twice = withBreaker(panel);
  const second: WaveCoat = { ...wave, id: 'far', along: twice.sea.breakers![0]!.id };
  const pour = first({ ...twice, coats: [sand, sea, wave, second] });
  const whites = pour.steps.filter((s) => s.id.does === 'white');
  assert.equal(whites.length, 2);
  assert.equal(cupKey(whites[0]!.uses[0]!.cup), cupKey(whites[1]!.uses[0]!.cup));
  const cups = pour.batches.flatMap((b) => b.cups);
  assert.equal(cups.filter((c) => c.id.role === 'white').length, 1);
  near(sum(whites.map((s) => s.uses[0]!.ml)), cups.find((c) => c.id.role === 'white')!.needed, 1e-6);
  const late = first({ ...twice, coats: [sand, sea, wave, { ...second, layAt: 200 }] });
  assert.equal(late.batches.flatMap((b) => b.cups).filter((c) => c.id.role === 'white').length, 2);
  const again = late.steps.filter((s) => s.id.does === 'white')[1]!;
  near(again.at - again.mixedAt, 200, 1e-9);
});

test('a white so large that it is divided is asked for whole', () => {
  const long = piece({}, { shape: { kind: 'rectangle', width: 1600, height: 500 } });
  const hot = { ...resin, statedG: 0, gelMin: 200 };
  const pour = first(waved({ under: 'none', reachSea: 120 }, long), {
    resins: [hot],
    air: steady(28),
    method: { ...method, mostMixings: 20 },
  });
  const whites = pour.batches.flatMap((b) => b.cups).filter((c) => c.id.role === 'white');
  assert.equal(whites.length, 3);
  const step = of(pour, 'white');
  assert.equal(step.uses.length, whites.length);
  near(sum(step.uses.map((u) => u.ml)), sum(whites.map((c) => c.needed)), 1e-6);
});

test('cups and coats called alike are numbered', () => {
  const other: WaveCoat = { ...wave, id: 'w2', ownBatch: true };
  const twice = plan({ ...panel, coats: [sand, sea, wave, other, top] });
  assert.deepEqual(
    twice.coats.map((c) => c.name),
    ['Sand', 'Sea, five tints', 'Wave 1', 'Wave 2', 'Clear top'],
  );
  const names = twice.pours[0]!.batches.flatMap((b) => b.cups.map((c) => c.name));
  assert.equal(new Set(names).size, names.length, names.join());
  assert.deepEqual(
    names.filter((n) => n.startsWith('White')),
    ['White 1', 'White 2'],
  );
  assert.equal(plan({ ...panel, coats: [{ ...sand, name: 'Spit' }, sea] }).coats[0]!.name, 'Spit');
});

test('a cup takes longer the more is in it, and a large board longer than a small one with as many cups', () => {
  const lid = plan(piece({}, { shape: { kind: 'rectangle', width: 900, height: 350 } })).pours[0]!;
  const small = first(panel);
  const last = (p: PourPlan): number => p.steps.findLast((s) => s.id.does === 'pour')!.at;
  assert.ok(last(lid) > last(small));
  near(
    last(lid) - last(small),
    sum(lid.steps.flatMap((s) => (s.id.does === 'pour' ? s.uses.map((u) => u.ml / 100) : []))) -
      sum(small.steps.flatMap((s) => (s.id.does === 'pour' ? s.uses.map((u) => u.ml / 100) : []))),
    1e-6,
  );
});

test('a sea over the whole board covers it: its shore tint runs over the beach, in area, amounts and drawing alike', () => {
  const whole = plan({ ...panel, coats: [{ ...sea, over: { kind: 'whole' } } as Coat, wave] });
  const plain = plan({ ...panel, coats: [sea, wave] });
  near(whole.coats[0]!.area, whole.cut.cover.area, 1);
  near(plain.coats[0]!.area, plain.cut.cover.area - plain.cut.beach.area, 1);
  const shore = (p: typeof whole) => p.coats[0]!.cups.find((c) => c.id.tint === 4)!;
  near(shore(whole).area - shore(plain).area, plain.cut.beach.area, 1);
  const [beach, water] = [0, 1].map((part) => whole.colours.patches.find((x) => x.part === part)!.colour);
  assert.equal(beach, water, 'the beach is seen through the shore tint');
  const beached = plan({ ...panel, coats: [{ ...sea, over: { kind: 'beach' } } as Coat] });
  near(beached.coats[0]!.area, beached.cut.beach.area, 1);
  near(sum(beached.coats[0]!.cups.map((c) => c.makeup.laid)), (beached.cut.beach.area * 2) / 1000, 1e-6);
});

test('deep first: the sea lies under the sand of its pour, in the steps and in the drawing', () => {
  const over = { kind: 'whole' as const };
  const coats = (order?: 'deep first') => [sand, { ...sea, over, ...(order && { order }) } as Coat, wave];
  const [under, after] = [plan({ ...panel, coats: coats() }), plan({ ...panel, coats: coats('deep first') })];
  const beachOf = (p: typeof under) => p.colours.patches.find((x) => x.part === 0)!.colour;
  assert.notEqual(beachOf(under), beachOf(after));
  assert.equal(beachOf(after), plan({ ...panel, coats: [sand] }).colours.patches.find((x) => x.part === 0)!.colour);
  const roles = (p: typeof under) => p.pours[0]!.steps.flatMap((s) => (s.id.does === 'pour' ? s.id.role : []));
  assert.equal(roles(under)[0], 'sand');
  assert.equal(roles(after).at(-1), 'sand');
  assert.deepEqual(
    after.coats.map((c) => c.number),
    [1, 2, 3],
    'they keep their numbers',
  );
});

test('a resin’s times are read as those of a mass in a cup, 100 g where it does not say, or of a film', () => {
  const windows = (statedG?: number) =>
    planner.plan(panel, { ...means, resins: [{ ...resin, ...(statedG !== undefined && { statedG }) }] }).pours[0]!.batches[0]!.windows;
  const film = windows(0).heatUntil;
  assert.ok(film < 45 && film > 38, 'it is warm from its cup, and so a few minutes older than one that lay in the air from the first');
  assert.equal(windows().heatUntil, windows(100).heatUntil);
  assert.ok(windows().heatUntil > 60, 'a cup warms itself, so the film can be worked for longer than the cup');
});
