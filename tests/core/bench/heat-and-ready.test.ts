import assert from 'node:assert/strict';
import { test } from 'node:test';
import { heatPlan, lyingColours, readyItems, whereOf } from '#core/bench';
import { steady } from '#core/air';
import { partsOf, waveLength } from '#core/geometry';
import { coated, means, metric, piece, planner, sample, usMarked } from '../../factories';
import { near } from '../help';
import { Walk } from './walk';

const length = (walk: Walk): number => whereOf(planner.plan(walk.pour.planned.pieces[0]!, means), walk.current!).length;

test('a pass goes along the whole wave at the pace at which each place is warmed for ten seconds', () => {
  const walk = new Walk([piece({ count: 2 })]).to('heat');
  const plan = planner.plan(walk.pour.planned.pieces[0]!, means);
  near(length(walk), waveLength(plan.cut, plan.piece.sea), 0.001);
  const heat = heatPlan(walk.bench, walk.current!, length(walk));
  near(heat.speed, 4.5);
  near(heat.seconds, length(walk) / 4.5, 0.01);
  assert.deepEqual([heat.passes, heat.made, heat.boards, heat.order], [2, 0, 2, 'air only']);
  // the reference of the models: ten seconds at 75 °C are 4.7 equivalent minutes
  near(heat.ages, 4.7);
});

test('passes and seconds add up, age is added, and enough is said by what it is enough of', () => {
  const walk = new Walk([piece()]).to('heat');
  const before = heatPlan(walk.bench, walk.current!, length(walk));
  assert.equal(before.enough, undefined);
  walk.press({ kind: 'heat on' });
  walk.at(walk.min + 1);
  near(heatPlan(walk.bench, walk.current!, length(walk)).held, 60);
  walk.done();
  const second = heatPlan(walk.bench, walk.current!, length(walk));
  assert.equal(second.made, 1);
  near(second.held, 60);
  near(second.aged, second.ages);
  assert.ok(second.left! < before.left! - 1);
  const step = walk.current!;
  walk.done();
  assert.match(heatPlan(walk.bench, step, 300).enough!, /^The 2 passes it was planned for are made/);
  const set = new Walk([piece()]).to('heat').at(400);
  assert.match(heatPlan(set.bench, set.current!, 300).enough!, /has had its time/);
  const long = new Walk([piece()]).to('heat');
  long.press({ kind: 'heat on' });
  const { seconds } = heatPlan(long.bench, long.current!, length(long));
  long.at(long.min + (2 * 1.6 * seconds) / 60);
  assert.match(heatPlan(long.bench, long.current!, length(long)).enough!, /longer than all its passes|has had its time/);
  // laid before it had body, it runs by itself: one pass is enough
  const early = new Walk([piece()]).to('line').at(9);
  early.done().done().done();
  assert.match(heatPlan(early.bench, early.current!, 300).enough!, /still ran/);
});

test('torch and air in their order, and a dryer held further off', () => {
  const of = (heat: 'torch then air' | 'air then torch' | 'hair dryer') => {
    const walk = new Walk([coated(piece(), { wave: { heat } })]).to('heat');
    return heatPlan(walk.bench, walk.current!, 300);
  };
  assert.equal(of('torch then air').order, 'torch first');
  assert.equal(of('air then torch').order, 'torch last');
  assert.ok(of('hair dryer').tool.distance > of('torch then air').tool.distance);
});

test('each step has its place on the board: a band, a line, what is set; what lies grows with what is done', () => {
  const panel = piece();
  const plan = planner.plan(panel, means);
  const walk = new Walk([panel]);
  const parts = partsOf(plan.cut).filter((p) => p.area > 0).length;
  const empty = lyingColours(plan, walk.session);
  assert.equal(empty.colours.foams.length, 0);
  const bare = empty.colours.patches.map((p) => p.colour);
  walk.to('pour');
  const beach = whereOf(plan, walk.current!);
  assert.equal(beach.rings.length > 0, true);
  assert.deepEqual(beach.lines, []);
  walk.to('pour', 3);
  assert.equal(whereOf(plan, walk.current!).edges.length, 1, 'it is drawn into the cup before it');
  const now = lyingColours(plan, walk.session).colours.patches.map((p) => p.colour);
  assert.ok(now.some((c, i) => c !== bare[i]) && now.some((c, i) => c === bare[i]), 'some of it lies, and some is still bare');
  walk.to('white');
  const wave = whereOf(plan, walk.current!);
  assert.ok(wave.lines.length === 1 && wave.rings.length === 1);
  walk.done();
  assert.equal(lyingColours(plan, walk.session).colours.foams.length, 1);
  walk.to('cover');
  assert.deepEqual(lyingColours(plan, walk.session).colours.patches.filter((p) => p.colour).length >= parts - 1, true);
  assert.deepEqual(whereOf(plan, walk.current!).rings, []);
  assert.deepEqual(
    whereOf({ ...plan, piece: { ...panel, id: 'other' } }, { ...walk.current!, id: { does: 'white', piece: 'x' } }).rings,
    [],
  );
});

test('what must be so comes from each piece’s own plan, in its units, once each', () => {
  const studio = sample();
  const all = { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21) };
  for (const p of studio.pieces) {
    const plan = planner.planIfAble(p, all);
    if (!plan) continue;
    plan.pours.forEach((pour, i) => {
      if (!pour.batches.length) return;
      const walk = new Walk([piece()]);
      const asked = {
        of: [{ pieceId: p.id, coatIds: pour.coats.map((c) => c.coat.id) }],
        planned: { ...walk.pour.planned, pieces: [p], resins: studio.resins, colourants: studio.colourants },
        roomC: 21,
      };
      for (const write of [metric, usMarked]) {
        const items = readyItems(asked, walk.pour.told!, write);
        assert.equal(new Set(items.map((x) => x.item)).size, items.length, `${p.name}, pour ${i + 1}`);
        assert.ok(items.some((x) => x.piece === p.name && /level/.test(x.says)));
        assert.doesNotMatch(JSON.stringify(items), /NaN|undefined|Infinity/);
      }
    });
  }
  const marked = readyItems(new Walk([piece()]).pour, new Walk([piece()]).pour.told!, usMarked);
  assert.match(marked.find((i) => i.item === 'cups')!.says, /marked with water/);
  assert.match(marked.find((i) => i.item === 'cups')!.detail!, /fl oz/);
});
