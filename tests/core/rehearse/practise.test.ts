import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  drawnPath,
  actsDrawn,
  begunWith,
  drawnOn,
  drillsOf,
  laidOn,
  linesLaid,
  nearest,
  seenTrial,
  trials,
  type DrillName,
  type Trial,
} from '#core/rehearse';
import { layDown, type Figures } from '#core/foam';
import { metric, us } from '../../factories';
import { near } from '../help';
import { figures, hand, of, setup, smallBoard } from './wave';

const small = of(smallBoard());
const same = begunWith(small.planned, small.wave);
const REACH = 40;
const drills = drillsOf(same, REACH);
const score = (name: DrillName, f: Figures): number => drills.find((d) => d.name === name)!.scores(f).score;

test('a drill done well scores high, and every way to miss it scores less and says what to do', () => {
  const misses: [DrillName, Figures, RegExp][] = [
    ['even reach', figures({ toSea: { middle: 15, most: 18 } }), /longer at each place/],
    ['even reach', figures({ toSea: { middle: 60, most: 66 } }), /sooner/],
    ['even reach', figures({ toSea: { middle: 40, most: 70 } }), /same time/],
    ['no scorch', figures({ hottest: 140 }), /keep the gun moving/],
    ['no scorch', figures({ hottest: 60, toSea: { middle: 5, most: 8 } }), /slower/],
    ['cells of a size', figures({ perCm2: 0.5 }), /thinner/],
    ['cells of a size', figures({ diameters: { low: 0.1, middle: 0.5, high: 0.9 } }), /small/],
    ['cells of a size', figures({ diameters: { low: 1, middle: 2.6, high: 4 } }), /large/],
    ['stop in time', figures({ mist: 0.2 }), /too long/],
    ['stop in time', figures({ toSea: { middle: 20, most: 24 } }), /early/],
    ['too much white', figures({ open: 0.02 }), /thin sheets/],
    ['too much white', figures({ mist: 0.3 }), /Gentler/],
  ];
  for (const drill of drills) assert.ok(score(drill.name, figures()) >= 85, `${drill.name} scores ${score(drill.name, figures())}`);
  for (const [name, f, says] of misses) {
    const drill = drills.find((d) => d.name === name)!;
    assert.ok(drill.scores(f).score < score(name, figures()) - 10, name);
    assert.match(drill.scores(f).next, says, name);
  }
  assert.equal(score('no scorch', figures({ scorched: 30 })), 0);
  assert.equal(score('cells of a size', figures({ diameters: { low: 0, middle: 0, high: 0 }, perCm2: 0, open: 0 })), 0, 'nothing opened');
});

test('what is asked and said is written in the studio’s units', () => {
  for (const drill of drills) {
    const inches = `${drill.asks(us)} ${drill.scores(figures({ scorched: 30 })).says(us)}`;
    assert.doesNotMatch(inches, /\d (mm|°C|ml|cm)\b/, drill.name);
    assert.match(drill.asks(metric) + drill.scores(figures()).says(metric), /\d/);
  }
  assert.ok(drills.find((d) => d.name === 'too much white')!.setup.ml > 2 * same.setup.ml);
});

test('a look is looked for within what the batch allows, the same each time, and the nearest are told apart', () => {
  const look = { reach: 25, white: 0.12, size: 1 };
  const some = (count: number): Trial[] => {
    const found: Trial[] = [];
    for (const t of trials(small.scene, same, look)) if (found.push(t) === count) break;
    return found;
  };
  const tried = some(6);
  for (const t of tried) {
    assert.ok(t.setup.minute >= same.ready.from && t.setup.minute <= same.ready.until, `${t.setup.minute} min`);
    assert.ok(t.passes >= 1 && t.passes <= 3 && t.setup.ml > 0 && t.off >= 0);
  }
  assert.deepEqual(some(3), tried.slice(0, 3));
  assert.ok(new Set(tried.map((t) => t.hand.tool)).size > 1, 'more than one tool is tried');
  const best = nearest(tried, 3);
  assert.equal(
    best[0],
    tried.reduce((a, b) => (b.off < a.off ? b : a)),
  );
  assert.equal(nearest([tried[0]!, tried[0]!], 3).length, 1, 'two that are alike are one');
  const seen = seenTrial(small.scene, best[0]!, look.reach);
  assert.equal(seen.pixels.length, 4 * seen.wide * seen.tall);
  near(seen.figures.toSea.middle, best[0]!.figures.toSea.middle, 8);
});

test('a line drawn by hand is evenly kept, a dot is none, and a stroke takes as long as the hand does', () => {
  assert.equal(drawnPath([{ x: 1, y: 1 }]), undefined);
  assert.equal(
    drawnPath([
      { x: 1, y: 1 },
      { x: 1, y: 1 },
      { x: 3, y: 1 },
    ]),
    undefined,
  );
  const path = drawnPath([
    { x: 0, y: 50 },
    { x: 10, y: 50 },
    { x: 10, y: 50 },
    { x: 90, y: 50 },
  ])!;
  const legs = path.slice(1).map((p, i) => p.x - path[i]!.x);
  assert.ok(Math.max(...legs) - Math.min(...legs) < 0.25, 'evenly along it, however fast it was drawn');
  assert.deepEqual(
    [path[0], path.at(-1)],
    [
      { x: 0, y: 50 },
      { x: 90, y: 50 },
    ],
  );
  const [stroke] = actsDrawn(small.scene, [path], hand);
  assert.equal(stroke!.does, 'stroke');
  near(stroke!.seconds, 90 / hand.speed, 0.01);
  assert.ok(stroke!.does === 'stroke' && Math.sin(stroke!.toward) < 0, 'out to sea');
});

test('white is laid where its line was moved or drawn, as much as was said, with the sea on its right side', () => {
  const { scene } = small;
  const sum = (change: Parameters<typeof setup>[0]): { ml: number; y: number } => {
    const drawn = drawnOn(scene, setup({ rough: 0, ...change }));
    const foam = layDown(laidOn(drawn.scene, drawn.setup));
    let [all, y] = [0, 0];
    foam.w.forEach((w, k) => {
      all += w;
      y += w * Math.floor(k / foam.nx) * foam.dx;
    });
    return { ml: (all * foam.dx ** 2) / 1000, y: y / all };
  };
  const usual = sum({});
  const out = sum({ off: 15 });
  near(usual.y - out.y, 15, 3);
  assert.ok(sum({ off: -4 }).y > usual.y);
  const line = [
    { x: 10, y: 20 },
    { x: 60, y: 20 },
    { x: 110, y: 20 },
  ];
  near(sum({ line, ml: 1 }).y, 20, 1);
  near(sum({ line, ml: 1 }).ml, 1, 0.05);
  for (const path of [line, [...line].reverse()]) {
    const [laid] = linesLaid(scene, { line: path }).lines;
    const [a, b] = [laid!.path[0]!, laid!.path[1]!];
    assert.ok(-(b.x - a.x) * laid!.sea < 0, 'the sea is up the page, whichever way it was drawn');
  }
});
