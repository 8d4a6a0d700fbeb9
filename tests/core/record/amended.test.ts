import assert from 'node:assert/strict';
import { test } from 'node:test';
import { stepKey, type ToldStep } from '#core/document';
import { storyOf } from '#core/bench';
import { heatSeconds, plannedBesideDone, readSession, stepsLeft } from '#core/record';
import { metric, piece } from '../../factories';
import { Walk } from '../bench/walk';

test('what was told first is never changed: steps put in, swapped and left out are events over it', () => {
  const walk = new Walk([piece()]).to('pour', 2);
  const first = structuredClone(walk.pour.told);
  const current = walk.current!;
  const extra: ToldStep = { ...current, id: { ...current.id, again: 1 }, uses: [] };
  walk.press({ kind: 'added', steps: [extra], before: current.id });
  assert.equal(stepKey(walk.current!.id), stepKey(extra.id));
  walk.press({ kind: 'swapped', step: current.id, before: extra.id });
  assert.equal(stepKey(walk.current!.id), stepKey(current.id));
  walk.press({ kind: 'skipped', step: current.id });
  assert.equal(stepKey(walk.current!.id), stepKey(extra.id));
  assert.deepEqual(walk.pour.told, first);
  const line = plannedBesideDone(walk.session).find((l) => stepKey(l.step.id) === stepKey(current.id))!;
  assert.deepEqual([line.skipped, line.done], [true, undefined]);
  walk.undo();
  assert.equal(stepsLeft(walk.session)[0], walk.current);
  // a step that is not there puts it at the end, and one that is swapped with none stays
  walk.press({ kind: 'added', steps: [{ ...extra, id: { ...extra.id, again: 2 } }], before: { does: 'peel' } });
  assert.equal(walk.session.told.steps.at(-1)!.id.again, 2);
  const before = walk.keys;
  walk.press({ kind: 'swapped', step: current.id, before: { does: 'peel' } });
  assert.deepEqual(walk.keys, before);
});

test('a pass is timed from the tool taken up to the pass done; two heat keys at once are one', () => {
  const walk = new Walk([piece()]).to('heat');
  walk.press({ kind: 'heat on' });
  walk.min += 1.5;
  walk.done();
  assert.deepEqual([...heatSeconds(walk.session.events).values()], [90]);
  assert.equal(walk.session.heatOn, undefined);
  // one that was taken up and put down again with nothing done is timed for no pass
  walk.press({ kind: 'heat on' }).press({ kind: 'skipped', step: walk.current!.id });
  assert.equal(walk.session.heatOn, undefined);
  assert.equal(heatSeconds(walk.session.events).size, 1);
});

test('the log says what happened beside the plan, in the order it did, and nothing that was taken back', () => {
  const walk = new Walk([piece()]);
  walk.press({ kind: 'ready', items: ['room', 'cups'], as: 'passed over' }).to('pour', 2);
  const cup = walk.session.told.cups.find((c) => c.id.tint === 0)!;
  walk.press({ kind: 'cup lost', cup: cup.id, how: 'spilled', ml: 5 }).undo();
  walk.press({ kind: 'cup lost', cup: cup.id, how: 'over-poured', ml: 5 });
  walk.press({ kind: 'bench', celsius: 25 }).press({ kind: 'held' });
  walk.min += 4;
  walk.press({ kind: 'went on' }).press({ kind: 'skipped', step: walk.current!.id });
  walk.press({ kind: 'refused', plan: 'x' });
  assert.deepEqual(
    storyOf(walk.session, metric).map((t) => t.says),
    [
      '2 of what is seen to before the first mixing passed over.',
      '5.0 ml of Deep more than told went onto the board.',
      'The bench was at 25 °C.',
      'Held for 4 min.',
      'Left out: Lay Deep.',
      'Another plan was offered, and the told one kept.',
    ],
  );
  assert.equal(readSession(walk.pour).held, undefined);
});
