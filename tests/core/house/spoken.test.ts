import assert from 'node:assert/strict';
import { test } from 'node:test';
import { newlySaid, type Sayable } from '../../../src/routes/pour/[id]/spoken';

const said = (now: Partial<Sayable>, before: Partial<Sayable> = {}) => {
  const none = { step: '', turn: '', replan: '' };
  return newlySaid({ ...none, ...now }, { ...none, ...before });
};

test('a step is read out once, and only a turn of the clock or another plan calls for the ear', () => {
  assert.deepEqual(said({ step: 'Lay Deep.' }), { text: 'Lay Deep.', caption: '', calls: false });
  assert.deepEqual(said({ step: 'Lay Deep.' }, { step: 'Lay Deep.' }), { text: '', caption: '', calls: false });
  const turned = said({ step: 'Lay Mid.', turn: 'Last moves' }, { step: 'Lay Deep.', turn: 'The film can be worked' });
  assert.deepEqual(turned, { text: 'Last moves. Lay Mid.', caption: 'Last moves.', calls: true });
  assert.equal(said({ turn: 'White rests' }).calls, false, 'the first reading of a clock is no turn of it');
  assert.deepEqual(said({ replan: 'The white is late.' }), { text: 'The white is late.', caption: 'The white is late.', calls: true });
});
