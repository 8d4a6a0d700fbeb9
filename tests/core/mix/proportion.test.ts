import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { proportioned, ratioError, rescue, split } from '#core/mix';
import { resin } from '../../factories';
import { near, sum } from '../help';

test('nothing over, nothing grows', () => {
  assert.deepEqual(proportioned([100, 50], [100, undefined], [1, 1]), { k: 1, target: [100, 50] });
  assert.equal(proportioned([100, 50], [100.9, 50], [1, 1]).k, 1, 'within the slack');
});

test('10 g too much of A: B grows by the tenth, and following it restores the ratio', () => {
  const { k, target } = proportioned([100, 85], [110, undefined], [1, 1]);
  near(k, 1.1, 1e-12);
  near(target[1]!, 93.5, 1e-9);
});

const amount = fc.double({ min: 0.5, max: 500, noNaN: true });

test('whatever is over, following it to the end restores every proportion exactly', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ planned: amount, times: fc.double({ min: 1, max: 4, noNaN: true }) }), { minLength: 2, maxLength: 6 }),
      (parts) => {
        const planned = parts.map((p) => p.planned);
        const inside = parts.map((p) => p.planned * p.times);
        const { target } = proportioned(
          planned,
          inside,
          planned.map(() => 0),
        );
        target.forEach((w, i) => {
          assert.ok(w >= inside[i]! - 1e-9, 'nothing is asked out again');
          near((w / sum(target)) * sum(planned), planned[i]!, 1e-6);
        });
      },
    ),
  );
});

test('over-pour of either part: what to add restores the ratio exactly, and the surplus is what the batch grew by', () => {
  const planned = split(187, resin);
  fc.assert(
    fc.property(fc.double({ min: 1, max: 2, noNaN: true }), fc.boolean(), (k, ofA) => {
      const [a, b] = ofA ? [k * planned.aG, planned.bG] : [planned.aG, k * planned.bG];
      const fix = rescue(planned, a, b);
      near(ratioError(a + fix.addA, b + fix.addB, resin), 0, 1e-9);
      near(fix.total, a + b + fix.addA + fix.addB, 1e-9);
      near(fix.surplus, fix.total - planned.aG - planned.bG, 1e-9);
      assert.ok(fix.addA >= -1e-9 && fix.addB >= -1e-9);
    }),
  );
});

test('too much blue in 50 g of clear: 20 g more bring it back, and the turquoise grows with it', () => {
  const { k, target } = proportioned([50, 0.15, 0.05], [50, 0.21, 0.05], [0.5, 0.01, 0.005]);
  near(k, 1.4, 1e-9);
  near(target[0]!, 70, 1e-9);
  near(target[2]!, 0.07, 1e-9);
  near(0.21 / target[0]!, 0.003, 1e-9);
});
