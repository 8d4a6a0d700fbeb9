import assert from 'node:assert/strict';
import { test } from 'node:test';
import { addWhite, anew, anotherPass, cupsNow, leftOver, more, pushBack, repeat, skip, stir, swap, tilt, tintOver } from '#core/bench';
import { checkStudio } from './checked';
import { say } from '#core/pour';
import { isRecorded, readSession } from '#core/record';
import { coated, metric, piece, usMarked } from '../../factories';
import { near } from '../help';
import { Walk } from './walk';

const words = (walk: Walk, write = metric) => say(walk.current!, walk.session.told, write);

test('a step left out is not asked for, is told so in the log, and comes back when that is taken back', () => {
  const walk = new Walk([piece()]).to('pour', 2);
  const left = walk.current!;
  walk.press(skip(walk.bench));
  assert.notEqual(walk.current, left);
  assert.equal(walk.session.skipped.size, 1);
  walk.undo();
  assert.deepEqual(walk.current!.id, left.id);
  // out of turn it can still be done, and then it was not left out
  walk.press(skip(walk.bench)).press({ kind: 'did', step: left.id });
  assert.equal(walk.session.skipped.size, 0);
  assert.equal(skip(new Walk([piece()]).bench), undefined, 'nothing is left out that mixes');
});

test('the next first, and the one it stood behind after it', () => {
  const walk = new Walk([piece()]).to('pour', 2);
  const [first, second] = walk.session.told.steps.slice(walk.session.told.steps.indexOf(walk.current!));
  walk.press(swap(walk.bench));
  assert.deepEqual(walk.current!.id, second!.id);
  walk.done();
  assert.deepEqual(walk.current!.id, first!.id);
});

test('what was done last is done once more out of what its cup still holds', () => {
  const walk = new Walk([piece()]).to('pour', 3);
  const last = walk.session.told.steps[walk.session.told.steps.indexOf(walk.current!) - 1]!;
  walk.press(repeat(walk.bench));
  assert.deepEqual({ ...walk.current!.id, again: undefined }, { ...last.id, again: undefined });
  assert.match(words(walk).detail, /^Once more\./);
  assert.match(words(walk).done, /once more$/);
  walk.done();
  assert.equal(readSession(walk.pour).told.steps.filter((s) => s.id.again === 1).length, 1);
});

test('a cup tells what is left in it: by what was laid, spilled and put into a mould', () => {
  const walk = new Walk([piece()]).to('pour', 2);
  const cup = () => cupsNow(walk.session).find((c) => c.cup.id.tint === 0)!;
  const full = cup();
  near(full.left, full.cup.ml, 0.001);
  assert.equal(full.state, 'ready');
  walk.press({ kind: 'cup lost', cup: full.cup.id, how: 'spilled', ml: 10 });
  near(cup().left, full.cup.ml - 10, 0.001);
  walk.done();
  assert.equal(cup().state, 'used');
  assert.ok(cup().left < 3);
  walk.to('cover');
  const over = leftOver(cupsNow(walk.session));
  assert.ok(over.every((c) => c.free - c.wanted >= 3 && c.cup.sandG === 0));
  assert.ok(over.length > 0, 'a white is mixed half as much again as it takes');
});

test('more white: out of its cup while that has some, else mixed anew, with a pass of heat for it', () => {
  const walk = new Walk([piece()]).to('heat');
  walk.press(addWhite(walk.bench));
  const own = walk.current!;
  assert.equal(own.id.does, 'white');
  assert.ok(own.uses[0]!.ml >= 1);
  assert.equal(walk.session.told.steps[walk.session.told.steps.indexOf(own) + 1]!.id.does, 'heat');
  walk.undo();
  const cup = cupsNow(walk.session).find((c) => c.cup.id.role === 'white')!;
  walk.press({ kind: 'cup lost', cup: cup.cup.id, how: 'spilled', ml: cup.left });
  walk.press(addWhite(walk.bench));
  assert.equal(walk.current!.id.does, 'mix');
  const fresh = walk.session.told.cups.at(-1)!;
  assert.equal(fresh.id.portion, 2);
  assert.ok(fresh.ml >= 15, 'no white is filled with less than a hand can do');
  assert.match(words(walk).says, /Batch 2 of 2/);
  walk.done();
  assert.match(words(walk).says, /Lay the white/);
  checkStudio(walk.pour);
});

test('all that can be asked for of a wave says what the hands do, in the studio’s units, and is stored as it stands', () => {
  for (const under of ['barrier', 'gap', 'none', 'white first'] as const)
    for (const count of [1, 3]) {
      const panel = coated(piece({ count }), { wave: { under, lace: 'open' } });
      for (const [name, ask, says] of [
        ['pass', anotherPass, /^Heat pass \d+ of \d+/],
        ['tint over', tintOver, /^Draw .+ over the white where it hides too much/],
        ['push', pushBack, /^Push the white back from the sea side/],
        ['tilt', tilt, /^Tilt the board by \d+° for \d+ s, then back/],
        ['repeat', repeat, /./],
      ] as const) {
        const walk = new Walk([panel]).to('heat', 2);
        const happening = ask(walk.bench);
        // where nothing is left over there is no tint to draw over it
        if (!happening && name === 'tint over') continue;
        walk.press(happening);
        assert.match(words(walk).says, says, `${name}, ${under}, ${count}`);
        for (const write of [metric, usMarked]) {
          const w = words(walk, write);
          assert.doesNotMatch([w.says, w.detail, ...w.amounts.map((a) => a.amount)].join(' '), /NaN|undefined|Infinity/);
        }
        checkStudio(walk.pour);
        walk.done();
        assert.equal(walk.current?.id.does === 'heat' || walk.current !== undefined, true);
      }
    }
});

test('a tilt moves two centimetres of film in the time a hand can hold it, and longer once it is thicker', () => {
  const early = new Walk([piece()]).to('white');
  const late = new Walk([piece()]).to('cover');
  const at = (walk: Walk) => {
    const happening = tilt(walk.bench);
    return happening?.kind === 'added' ? happening.steps[0]!.tilt! : undefined;
  };
  const [soon, after] = [at(early)!, at(late)!];
  assert.ok(soon.seconds <= 45 && soon.travel === 20);
  assert.ok(after.degrees > soon.degrees || after.seconds > soon.seconds);
  assert.equal(at(late.at(2000)), undefined, 'what has set does not run');
  assert.equal(at(new Walk([piece()])), undefined, 'nothing lies yet');
});

test('more of a cup, a cup mixed anew and a stir are steps of that cup', () => {
  const walk = new Walk([piece()]).to('pour', 3);
  const cup = cupsNow(walk.session).find((c) => c.cup.id.tint === 0)!;
  walk.press(anew(walk.bench, cup.cup));
  assert.equal(walk.current!.id.does, 'mix');
  const fresh = walk.session.told.cups.at(-1)!;
  // as strong as the one before, to the drop
  const load = (c: typeof fresh) => c.doses.reduce((sum, d) => sum + d.grams, 0) / (c.aG + c.bG);
  assert.ok(Math.abs(load(fresh) / load(cup.cup) - 1) < 0.35, `${load(fresh)} beside ${load(cup.cup)}`);
  walk.done();
  assert.match(words(walk).says, /Lay Deep/);
  walk.undo().undo();
  walk.press(stir(walk.bench, cup.cup));
  assert.match(words(walk).says, /^Stir Deep again\.$/);
  walk.done();
  const again = more(
    walk.bench,
    cupsNow(walk.session).find((c) => c.cup.id.tint === 0)!,
  );
  assert.ok(again);
  checkStudio(walk.press(again).pour);
});

test('what is asked for in two windows at once stands once', () => {
  const walk = new Walk([piece()]).to('heat', 2);
  const happening = anotherPass(walk.bench)!;
  walk.press(happening);
  assert.equal(isRecorded({ ...happening, seq: 99, at: '2026-11-25T11:00:00Z' } as never, walk.pour.events), true);
  walk.press({ kind: 'heat on' });
  assert.equal(isRecorded({ kind: 'heat on', seq: 100, at: '2026-11-25T11:00:00Z' }, walk.pour.events), true, 'a tool is taken up once');
  walk.done();
  assert.equal(walk.session.heatOn, undefined);
  walk.press({ kind: 'held' });
  assert.ok(walk.session.held);
  walk.press({ kind: 'went on' });
  assert.equal(walk.session.held, undefined);
});
