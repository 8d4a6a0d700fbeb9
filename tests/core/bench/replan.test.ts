import assert from 'node:assert/strict';
import { test } from 'node:test';
import { cupsNow, replanOf, type Replan } from '#core/bench';
import { cupKey, stepKey, type Piece, type WaveCoat } from '#core/document';
import { say } from '#core/pour';
import { putOff, summaryOf } from '#core/record';
import { coated, metric, piece, us } from '../../factories';
import { checkStudio } from './checked';
import { said, Walk } from './walk';

const replan = (walk: Walk): Replan | undefined => replanOf(walk.bench, said);
const is = (walk: Walk, name: RegExp): Replan => {
  const found = replan(walk);
  assert.ok(found, 'nothing is offered');
  assert.match(found.name, name);
  return found;
};
const two = (): Piece[] => [piece(), { ...piece({ name: 'Second panel' }), id: 'second' }];
/** The step at hand, in its sentence. */
const now = (walk: Walk): string => (walk.current ? say(walk.current, walk.session.told, metric).says : 'over');
const window = (walk: Walk) => walk.bench.clocks[0]!.windows.white!;

test('a pour that goes as it was told is left alone, at every step', () => {
  const walk = new Walk(two());
  while (walk.current) {
    walk.min = Math.max(walk.min, walk.current.at);
    assert.equal(replan(walk), undefined, now(walk));
    walk.done();
  }
});

test('a white past its window: a fresh one while the film moves, else the wave another day; the told plan stays in the record', () => {
  const walk = new Walk([piece()]).to('line');
  walk.at(window(walk).until + 2);
  const found = is(walk, /^white past/);
  assert.match(found.says, /^The white is past its window, by \d+\smin\.$/);
  assert.match(found.ways[0].does, /^Mix a fresh white|^Leave the wave/);
  const other = found.ways.find((w) => /another day/.test(w.does))!;
  assert.match(other.costs[0]!, /One more session for Test panel: from \d\d:\d\d, and without a scuff until \d\d:\d\d/);
  assert.ok(other.changes.some((c) => c.what === 'White' && c.now === 'left out'));
  walk.press(other.happening);
  assert.equal(replan(walk), undefined);
  assert.equal(walk.current!.id.does, 'cover');
  assert.deepEqual(
    putOff(walk.pour).map((c) => c.name),
    ['Wave'],
  );
  const [laid] = summaryOf(walk.pour).of;
  assert.ok(!laid!.coatIds.includes(piece().coats.find((c) => c.kind === 'wave')!.id), 'its wave is still to be poured');
  assert.ok(
    walk.pour.told!.steps.some((s) => s.id.does === 'white'),
    'what was told first is kept',
  );
  checkStudio(walk.pour);
  walk.undo();
  assert.equal(summaryOf(walk.pour).of[0]!.coatIds.length, 3);
  is(walk, /^white past/);
});

test('a film that has set: no heat on it, and nothing that was not laid is a dead end', () => {
  const walk = new Walk([piece()]).to('heat', 2);
  const until = walk.bench.clocks[0]!.windows.heatUntil;
  walk.at(until + 5);
  const found = is(walk, /^heat spent/);
  assert.equal(found.ways.length, 2);
  walk.press(found.ways[0].happening);
  assert.equal(walk.current!.id.does, 'cover');
  walk.undo();
  // what was refused is not offered again
  walk.press({ kind: 'refused', plan: found.name });
  assert.notEqual(replan(walk)?.name, found.name);
});

test('a spilled cup: its spare first, then its neighbour, then thinner or mixed anew', () => {
  const walk = new Walk([piece()]).to('pour', 3);
  const mid = () => cupsNow(walk.session).find((c) => c.wanted > 0 && c.cup.id.tint === 1)!;
  const spill = (ml: number) => walk.press({ kind: 'cup lost', cup: mid().cup.id, how: 'spilled', ml });
  spill(mid().spare * 0.9 + mid().free - mid().wanted);
  assert.equal(replan(walk), undefined, 'its spare covers it');
  spill(mid().wanted * 0.12);
  const little = is(walk, /^short/);
  assert.match(little.says, /^Offshore will not do: .+ ml are missing\.$/);
  assert.ok(little.ways.some((w) => /as a narrower line|thick in the place of|^Stretch/.test(w.does)));
  spill(mid().wanted * 0.5);
  const much = is(walk, /^short/);
  const fresh = much.ways.find((w) => /anew/.test(w.does))!;
  walk.press(fresh.happening);
  assert.equal(replan(walk), undefined);
  assert.match(now(walk), /^Batch 2 of 2/);
  walk.done();
  assert.equal(walk.current!.uses.length, 2, 'what is left and what was mixed are laid together');
  assert.equal(cupsNow(walk.session).filter((c) => /^Offshore( 2)?$/.test(c.cup.name)).length, 2);
  checkStudio(walk.pour);
});

test('a cup gone thick is not stretched nor spread: mixed anew, or done without', () => {
  const walk = new Walk([piece()]).to('pour', 3);
  const cup = cupsNow(walk.session).find((c) => c.cup.id.tint === 1)!;
  walk.press({ kind: 'cup lost', cup: cup.cup.id, how: 'gone thick', ml: 0 });
  const found = is(walk, /^short/);
  assert.equal(found.says, 'Offshore has gone thick.');
  assert.match(found.ways[0].does, /anew/);
  assert.match(found.ways.at(-1)!.does, /^Go on without Offshore/);
});

test('a warmer bench and a colder one: new windows beside the told ones, and the rest counted by them', () => {
  const walk = new Walk([piece()]).to('pour', 2).at(12);
  walk.press({ kind: 'bench', celsius: 29 });
  const warm = is(walk, /^bench 29/);
  assert.match(warm.says, /warmer than this was planned for: 29 °C, not 23 °C/);
  const white = warm.ways[0].changes.find((c) => /^White/.test(c.what))!;
  const closes = (text: string): number => Number(/to (\d+) min/.exec(text)![1]);
  assert.ok(closes(white.now) < closes(white.was), JSON.stringify(white));
  walk.press(warm.ways[0].happening);
  assert.equal(replan(walk), undefined);
  assert.equal(walk.session.told.roomC, 29);
  const cold = new Walk([piece()]).to('pour', 2).at(12);
  cold.press({ kind: 'bench', celsius: 16 });
  assert.match(is(cold, /^bench 16/).says, /colder/);
  checkStudio(cold.press(is(cold, /bench/).ways[0].happening).pour);
});

test('a bench at 34 °C shortens every window, and says so', () => {
  const walk = new Walk([piece()]).to('pour', 2);
  const before = walk.bench.clocks[0]!.windows.heatUntil;
  walk.press({ kind: 'bench', celsius: 34 });
  assert.ok(walk.bench.clocks[0]!.windows.heatUntil < before);
  assert.match(is(walk, /^bench 34/).ways[0].does, /warmer clock/);
});

test('slow hands: behind, every window holding; then at a pace at which a white would come too late', () => {
  const walk = new Walk(two()).to('pour', 6);
  const told = walk.session.told;
  const firstWhite = told.steps.find((s) => s.id.does === 'white')!;
  walk.at(walk.current!.at + 7);
  const slow = replan(walk);
  if (slow) {
    assert.match(slow.name, /^behind|^white late/);
    walk.press(slow.ways[0].happening);
    assert.equal(replan(walk)?.name === slow.name, false);
  }
  const late = new Walk(two()).to('pour', 6).at(window(walk).until - 2);
  const found = is(late, /^white late/);
  assert.match(found.why, /It would be laid at \d\d:\d\d; its window closes at \d\d:\d\d\./);
  assert.ok(found.ways.every((w) => w.happening.kind === 'replanned'));
  late.press(found.ways[0].happening);
  assert.notEqual(replan(late)?.name, found.name);
  assert.ok(firstWhite);
});

test('a cup whose mix has set before it was laid', () => {
  const walk = new Walk([piece()]).to('pour', 3);
  walk.at(walk.bench.clocks[0]!.windows.heatUntil + 10);
  const found = is(walk, /^cup spent/);
  assert.match(found.says, /is past its working time/);
  assert.ok(found.ways.length >= 2);
  walk.press(found.ways[0].happening);
  assert.notEqual(replan(walk)?.name, found.name);
});

test('nothing is offered while hands are off it, and when the pour is over', () => {
  const walk = new Walk([piece()]).to('line').at(300);
  is(walk, /./);
  walk.press({ kind: 'held' });
  assert.equal(replan(walk), undefined);
  walk.press({ kind: 'went on' }).press({ kind: 'abandoned', why: 'rain' });
  assert.equal(replan(walk), undefined);
});

/** Every way of laying, with one piece and two, one board and three, in each thing that goes wrong: followed to the end. */
test('whatever the school, whatever goes wrong, every way that is offered can be taken and walked to the end', () => {
  const unders: WaveCoat['under'][] = ['barrier', 'gap', 'none', 'white first'];
  const heats: WaveCoat['heat'][] = ['hot air', 'torch then air', 'air then torch', 'hair dryer'];
  const wrongs: [string, (walk: Walk) => Walk][] = [
    ['white past', (w) => w.to('white').at(window(w).until + 3)],
    ['all set', (w) => w.to('white').at(500)],
    ['heat late', (w) => w.to('heat').at(500)],
    ['slow', (w) => w.to('pour', 4).at(window(w).until)],
    ['hot', (w) => w.to('pour', 2).press({ kind: 'bench', celsius: 34 })],
    [
      'spilled',
      (w) => {
        w.to('pour', 3);
        const cup = cupsNow(w.session).find((c) => c.state === 'ready' && c.wanted > 0)!;
        return w.press({ kind: 'cup lost', cup: cup.cup.id, how: 'spilled', ml: cup.left });
      },
    ],
  ];
  let taken = 0;
  unders.forEach((under, u) =>
    wrongs.forEach(([wrong, go], i) => {
      const change = { wave: { under, heat: heats[(u + i) % 4]!, additive: 'silicone', rest: i % 2 ? 3 : 0 } as Partial<WaveCoat> };
      const pieces = [
        coated(piece({ count: i % 2 ? 3 : 1 }), change),
        ...(u % 2 ? [{ ...coated(piece(), change), id: 'second', name: 'Second' }] : []),
      ];
      const start = go(new Walk(pieces));
      const found = replan(start);
      assert.ok(found, `${wrong}, ${under}: nothing is offered`);
      for (const way of found.ways) {
        const walk = new Walk(pieces);
        walk.pour = start.pour;
        walk.min = start.min;
        walk.press(way.happening);
        taken++;
        assert.notEqual(replan(walk)?.name, found.name, `${wrong}, ${under}: “${way.does}” leaves it as it was`);
        const texts = [found.says, found.why, way.does, way.why, ...way.costs, ...way.changes.flatMap((c) => [c.what, c.was, c.now])];
        assert.doesNotMatch(texts.join(' '), /NaN|undefined|Infinity|\[object/, way.does);
        checkStudio(walk.pour);
        const keys = walk.keys;
        assert.equal(new Set(keys).size, keys.length, 'no step stands twice');
        for (let n = 0; walk.current && n < 200; n++) {
          for (const use of walk.current.uses)
            assert.ok(
              walk.session.told.cups.some((c) => cupKey(c.id) === cupKey(use.cup)),
              'a step takes from a cup that is there',
            );
          assert.ok(walk.session.told.batches[walk.current.batch], 'and from a mixing that is there');
          for (const write of [metric, us])
            assert.doesNotMatch(JSON.stringify(say(walk.current, walk.session.told, write)), /NaN|undefined|Infinity/);
          const before = stepKey(walk.current.id);
          walk.done();
          assert.notEqual(walk.current && stepKey(walk.current.id), before);
        }
        assert.equal(walk.current, undefined, `${wrong}, ${under}: “${way.does}” does not end`);
      }
    }),
  );
  assert.ok(taken > 40, `${taken} ways were walked`);
});

test('a fresh white is only offered where all that comes before it leaves the film time to be moved', () => {
  let offered = 0;
  for (let late = 20; late <= 60; late += 4) {
    const walk = new Walk(two()).to('pour', 4).at(late);
    for (const way of replan(walk)?.ways ?? []) {
      if (!/^Mix a fresh white/.test(way.does) || way.happening.kind !== 'replanned') continue;
      offered++;
      const film = walk.bench.clocks[0]!.windows.heatUntil;
      for (const step of way.happening.told.steps.filter((s) => s.id.does === 'white'))
        assert.ok(
          step.at - walk.session.told.steps[0]!.at < film,
          `at ${late} min a white would be laid at ${step.at}, the film moves until ${film}`,
        );
    }
  }
  assert.ok(offered > 0);
});
