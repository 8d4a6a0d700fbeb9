import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  allowedTilt,
  closedDrift,
  dryCreep,
  feetOf,
  flowToTravel,
  lengthAlong,
  openDrift,
  runsDry,
  secondsToFlow,
  shims,
  slopeOf,
  wetCreep,
} from '#core/level';
import { near } from '../help';

const k = Math.log(8) / 2700;
const flow = 1 / (1.2 * k);
const wet = { film: 2, density: 1.1, flow };

test('2 mm at 0.25°, 1.2 Pa·s: the face of an open film runs 101.86 mm by morning', () => near(openDrift(wet, 0.25), 101.86));
test('and between walls 300 mm apart 35.56 in the middle, less toward them, none at them', () => {
  near(closedDrift(wet, 0.25, 300), 35.56);
  assert.ok(closedDrift(wet, 0.25, 300, 100) < closedDrift(wet, 0.25, 300, 20));
  near(closedDrift(wet, 0.25, 300, 150), 0, 0.01);
  assert.ok(!runsDry(2, 0.25, 300) && runsDry(2, 1, 300));
});

test('drift grows with film, tilt and time, and none leaves a level board', () => {
  const some = fc.double({ min: 0.2, max: 3, noNaN: true });
  fc.assert(
    fc.property(some, some, some, some, (film, tilt, time, by) => {
      const at = (f: number, t: number, s: number): number[] => {
        const own = { film: f, density: 1.1, flow: s * 100 };
        return [openDrift(own, t / 10), closedDrift(own, t / 10, 400)];
      };
      const base = at(film, tilt, time);
      for (const more of [at(film, tilt + by, time), at(film, tilt, time + by)]) more.forEach((d, i) => assert.ok(d >= base[i]! - 1e-9));
      assert.ok(at(film + by, tilt, time)[0]! >= base[0]!, 'between walls a thick film is level again sooner, and moves less');
      assert.deepEqual(at(film, 0, time).map(Math.abs), [0, 0]);
    }),
  );
});

test('turned round: how level it must be is the tilt that lets it run so far', () => {
  near(openDrift(wet, allowedTilt(5, wet)), 5, 1e-9);
  near(closedDrift(wet, allowedTilt(5, wet, { length: 300 }), 300), 5, 1e-9);
});

test('as a tool: held at an angle for so long, and as long back and some more, since it thickens', () => {
  const needed = flowToTravel(30, wet, 5);
  near(openDrift({ ...wet, flow: needed }, 5), 30, 1e-9);
  const there = secondsToFlow(needed, 1.2, k);
  near((1 - Math.exp(-k * there)) / (1.2 * k), needed, 1e-9);
  assert.ok(secondsToFlow(needed, 1.2 * Math.exp(k * there), k) > there);
  assert.equal(secondsToFlow(2 * flow, 1.2, k), Infinity, 'it sets first');
});

test('a line of 33.4 mm² on 2 mm of film creeps to 17.5 mm, by itself to 32.7; most of it in the first three minutes', () => {
  const line = { width: 10, area: 33.4 };
  const after = (s: number): number => (1 - Math.exp(-k * s)) / (1.2 * k);
  near(wetCreep(line, 2, after(600), 1.1), 17.5);
  near(wetCreep(line, 0.01, after(600), 1.1), 32.7);
  assert.ok(wetCreep(line, 0.01, after(180), 1.1) > 0.75 * wetCreep(line, 0.01, after(600), 1.1));
  near(dryCreep(line, after(600), 1.1), 33.4 / 2 / 1.397, 0.01);
});

test('a board whose right end is low is shimmed below its right feet, by its length and the tangent', () => {
  const board = { width: 400, height: 300 };
  const under = shims(feetOf({ feet: 4, inset: 30 }, board), { along: 0.3, across: 0 });
  assert.deepEqual(
    under.filter((f) => f.mm > 0.01).map((f) => [f.foot.name, f.mm.toFixed(2)]),
    [
      ['upper right', (340 * Math.tan((0.3 * Math.PI) / 180)).toFixed(2)],
      ['lower right', '1.78'],
    ],
  );
  assert.ok(
    shims(feetOf({ feet: 3, inset: 0 }, board), { along: -1, across: 2 }).some((f) => f.mm === 0),
    'the highest stays',
  );
});

test('feet stand on the board, each once, however many there are', () => {
  for (const board of [
    { width: 900, height: 350 },
    { width: 90, height: 900 },
  ])
    for (let feet = 1; feet <= 8; feet++) {
      const all = feetOf({ feet, inset: 30 }, board);
      assert.equal(all.length, feet);
      assert.equal(new Set(all.map((f) => `${f.x} ${f.y}`)).size, feet);
      for (const f of all) assert.ok(f.x >= 0 && f.x <= board.width && f.y >= 0 && f.y <= board.height);
    }
});

test('two ways of hanging are one way down', () => {
  const { tilt, down } = slopeOf({ along: 0.3, across: 0.4 });
  near(tilt, 0.5, 1e-3);
  near(down.x, 0.6, 1e-3);
  assert.deepEqual(slopeOf({ along: 0, across: 0 }), { tilt: 0, down: { x: 0, y: 0 } });
  near(lengthAlong({ width: 400, height: 300 }, { x: 1, y: 0 }), 400);
});
