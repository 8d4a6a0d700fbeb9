import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { withShape } from '#core/edit';
import { inParts, movesOf, movesOn, takes } from '#core/foam';
import {
  advise,
  ageAt,
  oneLuck,
  overLucks,
  plannedBarrier,
  plannedWhite,
  pushes,
  stretch,
  towardSea,
  waysOf,
  WorkedBoard,
} from '#core/rehearse';
import { coated, piece } from '../../factories';
import { near } from '../help';
import { DX, hand, of, setup, smallBoard } from './wave';

const ordinary = of();
const small = of(smallBoard());

test('the scene is the board on its own millimetres: film on the sea and a little up the beach, and none on dry sand', () => {
  const { scene, planned, wave } = ordinary;
  assert.equal(scene.nx, Math.ceil(planned.bounds.width / DX));
  near(scene.length, planned.cut.shoreLength * (wave.lines ?? 1), 1e-6);
  const share = scene.film.reduce((sum, f) => sum + f, 0) / scene.film.length;
  const sea = planned.cut.sea.reduce((sum, r) => sum + r.area, 0) / planned.area;
  assert.ok(share > sea - 0.01 && share < sea + 0.15, `${share} of the board has film, ${sea} is sea`);
  assert.equal(scene.film[(scene.ny - 1) * scene.nx], 0);
  assert.ok(scene.ground.every((v) => Number.isNaN(v) || (v >= 0 && v <= 1.1)));
});

test('its film thickens as its own resin does, and is as thick as what is wet below', () => {
  const { scene, planned, wave } = ordinary;
  const resin = planned.means.resins.find((r) => r.id === wave.resinId)!;
  assert.equal(scene.physical.muRef, resin.viscosity);
  near(scene.physical.thickens * 60 * resin.workingMin, Math.log(planned.means.method.thickening), 1e-12);
  assert.ok(scene.physical.film >= 0.6);
  assert.ok(ageAt(planned, wave, 30) > ageAt(planned, wave, 10));
  assert.ok(plannedWhite(planned, wave) > 0 && plannedBarrier(wave) > 0);
});

test('out to sea is away from the beach, on every side the sea may lie', () => {
  for (const side of ['far', 'near', 'left', 'right'] as const) {
    const p = piece();
    const turned = { far: [0, -1], near: [0, 1], left: [-1, 0], right: [1, 0] }[side];
    const line = { far: [0, 150, 400, 150], near: [400, 150, 0, 150], left: [200, 300, 200, 0], right: [200, 0, 200, 300] }[side];
    const toward = towardSea(
      [
        {
          path: [
            { x: line[0]!, y: line[1]! },
            { x: line[2]!, y: line[3]! },
          ],
          sea: 1,
        },
      ],
      { x: 200, y: 150 },
    );
    near(Math.cos(toward), turned[0]!, 1e-9);
    near(Math.sin(toward), turned[1]!, 1e-9);
    assert.ok(p.coats.length);
  }
});

test('a pass pushes the white out to sea; what was done can be gone back in, and done again alike', () => {
  const board = new WorkedBoard(small.scene, setup());
  const before = board.measure();
  const moves = movesOf(pushes(small.scene, hand, small.wave.reachSea));
  for (const move of moves) if (!('rest' in move)) board.step(move.aim);
  const after = board.measure();
  assert.ok(after.toSea.middle > before.toSea.middle + 5, `${after.toSea.middle} after ${before.toSea.middle}`);
  const { t } = board.read();
  board.back(2);
  near(board.read().t, 2, 0.051);
  const rest = moves.slice(board.done.length);
  for (const move of rest) if (!('rest' in move)) board.step(move.aim);
  near(board.read().t, t, 1e-6);
  assert.deepEqual(board.measure(), after);
});

test('air that passes beside the board leaves it as it is', () => {
  const board = new WorkedBoard(small.scene, setup());
  const was = board.measure();
  for (let n = 0; n < 20; n++) board.step({ held: { tool: 'hot air' }, x: -300, y: 60, toward: -Math.PI / 2 });
  assert.deepEqual(board.measure().toSea, was.toSea);
  near(board.read().hottest, small.scene.roomC, 1e-4);
});

test('what changed is looked at, and nothing where nothing did', () => {
  const board = new WorkedBoard(small.scene, setup());
  const first = board.look()!;
  assert.equal(first.pixels.length, 4 * small.scene.nx * small.scene.ny);
  assert.equal(board.look(), undefined);
  board.step({ held: { tool: 'hot air' }, x: 60, y: 60, toward: -Math.PI / 2 });
  const then = board.look()!;
  assert.ok(then.pixels.length <= first.pixels.length);
});

test('no white, far too much of it, a line off the board, a frozen room, a tool held still: each makes sense', () => {
  const none = new WorkedBoard(small.scene, setup({ ml: 0 }));
  none.step({ held: { tool: 'hot air' }, x: 60, y: 60, toward: 0 });
  assert.equal(none.measure().white, 0);
  const much = new WorkedBoard(small.scene, setup({ ml: 200 }));
  for (let n = 0; n < 40; n++) much.step({ held: { tool: 'hot air' }, x: 60, y: 60, toward: -Math.PI / 2 });
  const { white } = much.measure();
  assert.ok(white > 0.3 && white <= 1.001, `${white}`);
  const off = {
    ...small.scene,
    lines: [
      {
        path: [
          { x: -50, y: -50 },
          { x: -10, y: -50 },
        ],
        sea: 1 as const,
      },
    ],
  };
  assert.equal(new WorkedBoard(off, setup()).measure().white, 0);
  const frozen = of(withShape(piece(), { kind: 'rectangle', width: 120, height: 100 }), { air: steady(-10) });
  const cold = new WorkedBoard(frozen.scene, setup());
  const was = cold.measure().white;
  cold.rest(600);
  near(cold.measure().white, was, 0.05);
  const still = new WorkedBoard(small.scene, setup());
  for (let n = 0; n < 6000; n++) still.step({ held: { tool: 'gun' }, x: 60, y: 60, toward: -Math.PI / 2 });
  const burnt = still.measure();
  assert.ok(burnt.scorched > 0 && burnt.hottest < 400, `${burnt.hottest} °C`);
  assert.ok(still.heat().bytes.includes(255), 'scorch is shown');
});

test('several lucks: figures lie between their least and their most, and a pass more costs white', () => {
  const { scene, wave } = small;
  const cut = stretch(scene, 60);
  assert.equal(cut.scene.nx, 60 / DX);
  const moves = movesOf(pushes(scene, hand, wave.reachSea));
  const on = movesOn(moves, cut, cut.scene.width, cut.scene.height);
  near(
    on.reduce((sum, m) => sum + takes(m), 0),
    moves.reduce((sum, m) => sum + takes(m), 0),
    1e-6,
  );
  const lucks = [1, 2, 3].map((luck) => oneLuck(cut.scene, setup({ luck }), on, on));
  const { reach, white } = overLucks(lucks.map((l) => l.left));
  assert.ok(reach.low <= reach.middle && reach.middle <= reach.high && reach.low < reach.high);
  assert.ok(white.middle > 0 && white.middle < 1);
  const advice = advise(lucks, wave.reachSea);
  assert.ok(advice.reach > 0, 'a pass more goes further');
  assert.ok(advice.mist > 0, 'and stirs more of it in');
  // what reaches far enough already only loses by another pass
  assert.equal(advise(lucks, 1).stop, advice.mist > 0.03 || advice.cells > 0.12 || advice.contrast > 0.1);
});

test('side by side: each question has its ways, and but for what is asked they are alike', () => {
  const { planned, wave } = small;
  const same = {
    setup: setup(),
    hand,
    ready: { from: 12, until: 40 },
    heatUntil: 60,
    barrier: 0.36,
    age: (min: number): number => ageAt(planned, wave, min),
  };
  for (const question of ['when', 'passes', 'barrier', 'white', 'tool'] as const) {
    const ways = waysOf(question, same);
    assert.ok(ways.length >= 2 && ways.length <= 4, question);
    assert.equal(new Set(ways.map((w) => w.name)).size, ways.length);
    for (const way of ways) {
      assert.equal(way.setup.luck, same.setup.luck);
      const { age, minute, barrier, ml, ...rest } = way.setup;
      assert.deepEqual(rest, { rough: 0.28, additive: false, luck: 1 });
      assert.equal(question === 'when' || (age === 1200 && minute === 20), true);
      assert.equal(question === 'barrier' || barrier === 0, true);
      assert.equal(question === 'white' || ml === 3, true);
      assert.equal(question === 'tool' || way.hand === hand, true);
    }
  }
  const when = waysOf('when', same).map((w) => w.setup);
  assert.ok(when[0]!.minute < same.ready.from && when.at(-1)!.minute > same.ready.until);
  assert.deepEqual(
    when.map((w) => w.age),
    when.map((w) => w.age).toSorted((a, b) => a - b),
  );
});

test('of two boards with the same luck the later one is pushed less far', () => {
  const pass = movesOf(pushes(small.scene, hand, small.wave.reachSea));
  const reach = (minute: number): number => {
    const board = new WorkedBoard(small.scene, setup({ minute, age: ageAt(small.planned, small.wave, minute) }));
    for (const move of pass) if (!('rest' in move)) board.step(move.aim);
    return board.measure().toSea.middle;
  };
  assert.ok(reach(55) < reach(12));
});

test('a rest in parts is as long as it was', () => {
  const parts = inParts([{ rest: 65 }, {}, { rest: 5 }]);
  assert.deepEqual(parts, [{ rest: 20 }, { rest: 20 }, { rest: 20 }, { rest: 5 }, {}, { rest: 5 }]);
});

test('each tint and each way of laying has a scene: in every school a wave may be laid in', () => {
  for (const under of ['barrier', 'gap', 'none', 'white first'] as const)
    for (const lines of [1, 3])
      for (const samePour of [true, false]) {
        const { scene, wave } = of(coated(piece(), { wave: { under, lines, samePour } }));
        assert.equal(scene.lines.length, lines);
        assert.ok(scene.film.includes(1) && scene.physical.film > 0.3 && scene.physical.scatter > 0);
        assert.equal(plannedBarrier(wave) > 0, under === 'barrier');
      }
});
