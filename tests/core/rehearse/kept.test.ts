import assert from 'node:assert/strict';
import { test } from 'node:test';
import { airPasses, passSeconds, rehearsalOf } from '#core/coat';
import { heatPlan, strokeAt, whereOf } from '#core/bench';
import { openStudio, writeStudio, type AirTool, type Piece, type WaveCoat } from '#core/document';
import { withCoatTwice, withLayerAgain } from '#core/edit';
import { movesOf, takes, tools as foamTools, type Move } from '#core/foam';
import { say } from '#core/pour';
import { actsOf, passesOf, pushes, tooMuchToKeep, withoutRehearsed, withRehearsed, WorkedBoard, type Hand } from '#core/rehearse';
import { coated, empty, metric, piece, planner, means, us } from '../../factories';
import { near } from '../help';
import { Walk } from '../bench/walk';
import { hand, of, setup, smallBoard, waveOf } from './wave';

const small = of(smallBoard());
const pass = movesOf(pushes(small.scene, hand, small.wave.reachSea));

/** A piece whose wave was rehearsed with some moves. */
function kept(p: Piece, moves: readonly Move[], change = {}): Piece {
  const wave = waveOf(p);
  const after = withRehearsed(p, wave, setup(change), passesOf(moves));
  return { ...p, coats: p.coats.map((c) => (c === wave ? after : c)) };
}

test('a usual pass is kept as the strokes it is made of, and played again alike', () => {
  const passes = passesOf([...pass, { rest: 60 }, ...pass, { rest: 1800 }]);
  const acts = pushes(small.scene, hand, small.wave.reachSea).filter((a) => a.does === 'stroke');
  assert.equal(passes.length, 2);
  assert.deepEqual(
    passes.map((p) => p.strokes.length),
    [acts.length, acts.length],
  );
  near(passes[1]!.wait, 60, 0.5);
  assert.deepEqual(passes[0]!.strokes[0]!.path.length, 2, 'a straight push is two places');
  const seconds = (moves: readonly Move[]): number => moves.reduce((s, m) => s + takes(m), 0);
  near(seconds(movesOf(actsOf(passes.slice(0, 1)))), seconds(pass), 0.5);
  assert.deepEqual(passesOf(movesOf(actsOf(passes))), passes, 'what was kept is kept again alike');
});

test('a hand that wanders and turns is played again to the millimetre', () => {
  const aim = (k: number): Move => ({
    aim: { held: { tool: 'hot air' }, x: 30 + 0.9 * k, y: 70 - 25 * Math.sin(k / 22), toward: -Math.PI / 2 + k / 90 },
  });
  const moves = Array.from({ length: 70 }, (_, k) => aim(k));
  const passes = passesOf(moves);
  assert.ok(passes[0]!.strokes.length > 1, 'it turned, so it is more than one stroke');
  const again = movesOf(actsOf(passes)).filter((m): m is Exclude<typeof m, { rest: number }> => 'aim' in m && m.aim !== undefined);
  assert.equal(again.length, moves.length);
  again.forEach((m, k) => {
    const was = (moves[k] as { aim: { x: number; y: number } }).aim;
    assert.ok(Math.hypot(m.aim!.x - was.x, m.aim!.y - was.y) < 1.2, `place ${k}`);
  });
  // and so it leaves much the same white
  const reach = (all: readonly Move[]): number => {
    const board = new WorkedBoard(small.scene, setup());
    for (const m of all) if (!('rest' in m)) board.step(m.aim);
    return board.measure().toSea.middle;
  };
  near(reach(movesOf(actsOf(passes))), reach(moves), 1.5);
});

test('a hand that lifts the tool and sets it down elsewhere makes two strokes', () => {
  const at = (x: number): Move => ({ aim: { held: { tool: 'hot air' }, x, y: 60, toward: -Math.PI / 2 } });
  const [lifted] = passesOf([at(20), at(21), at(80), at(81)]);
  assert.equal(lifted!.strokes.length, 2);
  assert.equal(passesOf([at(20), at(21), at(22), at(23)])[0]!.strokes.length, 1);
});

test('nothing done is kept as no pass; more than a document holds is said before it is kept', () => {
  assert.deepEqual(passesOf([{ rest: 1800 }]), []);
  assert.deepEqual(passesOf([{}, {}]), []);
  assert.equal(tooMuchToKeep(passesOf(pass)), undefined);
  const many = Array.from({ length: 13 }, () => [...pass.slice(0, 60), { rest: 60 }]).flat();
  assert.match(tooMuchToKeep(passesOf(many))!, /at most 12 passes; this one has 13/);
  const long = Array.from({ length: 7000 }, (): Move => ({ aim: { held: { tool: 'dryer' }, x: 5, y: 5, toward: 0 } }));
  assert.ok(passesOf(long)[0]!.strokes.every((s) => s.seconds <= 300));
});

test('it belongs to its board, its line and its wave, and to no other; in whatever order a file writes them', () => {
  const p = kept(piece(), pass);
  const found = (q: Piece) => rehearsalOf(q, waveOf(q));
  assert.ok(found(p));
  assert.ok(found({ ...p, name: 'Another', count: 3, dressings: [] }), 'a name and a count change nothing');
  const moved = { ...p, sea: { ...p.sea, shoreline: p.sea.shoreline.map((q) => ({ ...q, y: q.y + 5 })) } };
  assert.equal(found(moved), undefined);
  assert.equal(found({ ...p, shape: { kind: 'rectangle', width: 401, height: 300 } }), undefined);
  for (const change of [
    { heat: 'hair dryer' },
    { passes: 4 },
    { layAt: 31 },
    { rest: 9 },
    { under: 'gap' },
    { additive: 'silicone' },
    { lines: 1 },
  ] as Partial<WaveCoat>[])
    assert.equal(found(coated(p, { wave: change })), undefined, JSON.stringify(change));
  // a change taken back makes it whole again
  assert.ok(found(coated(coated(p, { wave: { layAt: 31 } }), { wave: { layAt: 20 } })));
  const text = writeStudio({ ...empty, pieces: [p] });
  const opened = openStudio(text);
  assert.ok(opened.ok);
  assert.deepEqual(opened.studio.pieces[0], p);
  assert.ok(found(opened.studio.pieces[0]!));
  assert.equal(writeStudio(opened.studio), text);
  assert.equal(withoutRehearsed(waveOf(p)).rehearsed, undefined);
});

/** Passes of some tools one after the other, a rest between. */
const passed = (...tools: AirTool[]): Move[] =>
  tools.flatMap((tool, k): Move[] => {
    const held: Hand = { tool, speed: 12, ...(tool === 'gun' && { distance: 90, angle: 30 }) };
    return [...(k > 0 ? [{ rest: 60 }] : []), ...movesOf(pushes(small.scene, held, small.wave.reachSea))];
  });

for (const [name, tools, heat, air] of [
  ['air twice', ['hot air', 'hot air'], undefined, 2],
  ['a dryer', ['dryer'], 'hair dryer', 1],
  ['a gun thrice', ['gun', 'gun', 'gun'], undefined, 3],
  ['flame, then air', ['torch', 'hot air'], 'torch then air', 1],
  ['air, then flame', ['hot air', 'torch'], 'air then torch', 1],
  ['flame alone', ['torch'], 'torch then air', 0],
] as const)
  for (const count of [1, 3])
    test(`kept and followed to the bench: ${name}, ${count === 1 ? 'one board' : `${count} boards`}`, () => {
      const p = kept(smallBoard({ count }), passed(...tools));
      const wave = waveOf(p);
      assert.equal(wave.passes, air);
      assert.equal(wave.heat ?? undefined, heat);
      assert.equal(wave.layAt, 20);
      const rehearsed = rehearsalOf(p, wave)!;
      const planned = planner.plan(p, means);
      const steps = planned.pours[0]!.steps.filter((s) => s.id.coat === wave.id && (s.id.does === 'heat' || s.id.does === 'flick'));
      assert.deepEqual(
        steps.map((s) => s.id.does),
        tools.map((t) => (t === 'torch' ? 'flick' : 'heat')),
        'its passes, in the order they were rehearsed',
      );
      steps.forEach((s, k) => {
        assert.equal(s.air!.tool, tools[k]);
        near(s.air!.seconds, passSeconds(rehearsed.passes[k]!), 1e-9);
        if (k > 0) near(s.at - steps[k - 1]!.at, (rehearsed.passes[k]!.wait + count * s.air!.seconds) / 60, 0.01);
        assert.equal(s.air!.wait, k > 0 ? rehearsed.passes[k]!.wait : 0);
      });
      // what the artist reads, in both writings
      const walk = new Walk([p]);
      for (const [write, foreign] of [
        [metric, / in\b|″/],
        [us, / mm\b| ml\b/],
      ] as const)
        for (const s of walk.pour.told!.steps.filter((t) => t.air)) {
          const { says, detail } = say(s, walk.pour.told!, write);
          assert.match(
            detail,
            new RegExp(`As rehearsed: ${s.air!.tool}.*${s.air!.strokes} strokes in .*(s|min)${count > 1 ? ' on each board' : ''}\\.`),
          );
          assert.doesNotMatch(`${says} ${detail}`.replace(/ in \d+ (s|min)/g, ''), foreign);
        }
      const white = walk.pour.told!.steps.find((s) => s.id.does === 'white')!;
      assert.match(say(white, walk.pour.told!, metric).detail, /Rehearsed with 3(\.0)? ml/);
      // at the bench its strokes are timed
      for (let k = 0; k < 60 && walk.current && !walk.current.air; k++) walk.done();
      const heatNow = heatPlan(walk.bench, walk.current!, 100);
      assert.equal(heatNow.strokes!.length, walk.current!.air!.strokes);
      near(heatNow.strokes!.at(-1)!.until, heatNow.seconds, 1e-6);
      assert.equal(heatNow.boards, count);
      assert.equal(heatNow.look, rehearsed.passes[0]!.wait);
      if (tools[0] === 'gun') assert.deepEqual([heatNow.tool.name, heatNow.tool.distance, heatNow.tool.angle], ['Heat gun', 90, 30]);
      else assert.equal(heatNow.tool.distance, foamTools[tools[0]].distance, 'held as it was rehearsed');
    });

test('what was laid in it is what is planned: its width, what lies under it, and a cup that holds enough', () => {
  const board = smallBoard({ count: 2 });
  const white = (p: Piece): number =>
    planner
      .plan(p, means)
      .pours[0]!.batches.flatMap((b) => b.cups)
      .find((c) => c.id.role === 'white')!.needed;
  const line = (p: Piece): boolean => planner.plan(p, means).pours[0]!.steps.some((s) => s.id.does === 'line');
  const usual = kept(board, pass, { ml: 1, barrier: 0.3 });
  assert.equal(waveOf(usual).under ?? 'barrier', 'barrier');
  assert.ok(line(usual));
  const bare = kept(board, pass, { ml: 1, barrier: 0 });
  assert.equal(waveOf(bare).under, 'none');
  assert.ok(!line(bare), 'no clear is laid under what was rehearsed without');
  assert.equal(waveOf(kept(coated(board, { wave: { under: 'gap' } }), pass, { barrier: 0 })).under, 'gap');
  assert.equal(waveOf(kept(coated(board, { wave: { under: 'none' } }), pass, { barrier: 0.3 })).under, 'barrier');
  assert.ok(white(kept(board, pass, { ml: 40, barrier: 0.3 })) >= 80, 'enough for both boards');
  near(white(usual), white(board), 0.001);
  assert.equal(waveOf(kept(board, pass, { width: 14 })).lineWidth, 14);
});

test('the air is where it was rehearsed at every second; between two strokes it waits for the next', () => {
  const strokes = [
    {
      from: 0,
      until: 2,
      path: [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
      ],
    },
    {
      from: 3,
      until: 5,
      path: [
        { x: 0, y: 5 },
        { x: 0, y: 5 },
        { x: 0, y: 25 },
      ],
    },
  ];
  assert.deepEqual(strokeAt(strokes, 1), { index: 0, at: { x: 5, y: 0 } });
  assert.deepEqual(strokeAt(strokes, 2.5), { index: 1, at: { x: 0, y: 5 } });
  assert.deepEqual(strokeAt(strokes, 4.5), { index: 1, at: { x: 0, y: 15 } });
  assert.deepEqual(strokeAt(strokes, 99), { index: 1, at: { x: 0, y: 25 } });
});

test('its line is where it was rehearsed: moved, drawn, or the wave’s own', () => {
  const place = (change: object) => {
    const p = kept(smallBoard(), pass, change);
    const walk = new Walk([p]).to('white');
    const { lines, rings } = whereOf(planner.plan(p, means), walk.current!);
    assert.ok(rings.length > 0);
    return lines;
  };
  const says = (change: object): string => {
    const walk = new Walk([kept(smallBoard(), pass, change)]).to('white');
    return say(walk.current!, walk.pour.told!, metric).says;
  };
  const mean = (lines: { y: number }[][]): number => lines.flat().reduce((sum, q) => sum + q.y, 0) / lines.flat().length;
  near(mean(place({})) - mean(place({ off: 12 })), 12, 2);
  const line = [
    { x: 10, y: 20 },
    { x: 110, y: 22 },
  ];
  assert.deepEqual(place({ line }), [line]);
  assert.match(says({}), /along the shore\.$/);
  assert.match(says({ off: 12 }), /along the shore, 12 mm out to sea of it\.$/);
  assert.match(says({ off: -5 }), /along the shore, 5 mm up the beach from it\.$/);
  assert.match(says({ line }), /along the line you drew\.$/);
});

test('rests of hours and a line of every point still make a studio that opens; another layer was not rehearsed', () => {
  const p = kept(smallBoard(), [...pass, ...Array.from({ length: 6 }, () => ({ rest: 1800 })), ...pass], {
    ml: 2000,
    off: 300,
    rough: 0.6,
  });
  const opened = openStudio(writeStudio({ ...empty, pieces: [p] }));
  assert.ok(opened.ok, JSON.stringify(opened));
  const wave = waveOf(p);
  const twice = withCoatTwice(p, wave.id).coats.filter((c): c is WaveCoat => c.kind === 'wave');
  assert.deepEqual(
    twice.map((c) => c.rehearsed !== undefined),
    [true, false],
  );
  const again = withLayerAgain(p, p.coats.slice(0, 3)).coats.filter((c): c is WaveCoat => c.kind === 'wave');
  assert.deepEqual(again.filter((c) => c.rehearsed).length, 1);
});

test('a pass more than was rehearsed is made the usual way', () => {
  const p = kept(smallBoard(), pass);
  const [first] = airPasses(rehearsalOf(p, waveOf(p))!);
  assert.ok(first);
  const walk = new Walk([p]).to('heat');
  const step = walk.current!;
  assert.ok(heatPlan(walk.bench, step, 100).strokes);
  assert.equal(heatPlan(walk.bench, { ...step, id: { ...step.id, pass: 2 } }, 100).strokes, undefined);
});
