import { test } from 'node:test';
import fc from 'fast-check';
import { coverage, cupContent, filmVolume, foamVolume, lineVolume, runOver, sandShare, withSpare } from '#core/mix';
import { method } from '../../factories';
import { near, sum } from '../help';

test('a film of 1.5 mm is 15 ml on 100 cm², and 15 ml per 100 cm² is a film of 1.5 mm', () => {
  near(filmVolume(10000, 1.5), 15);
  near(coverage(1.5), 15);
});

test('what runs over: 1.4 m of open rim on an 18 mm board', () =>
  near(runOver(1400, 18, method), (1400 * 18 * 0.2) / 1000 + 1.4 * 6, 1e-9));

test('a vessel keeps a millilitre and 2 %: 100 → 103.061', () => near(cupContent(100, method), 103.061));

test('an unused cup holds nothing', () => near(cupContent(0, method), 0));

test('sand at 1.5 by weight in a resin of 1.10 takes 0.384 of the mix', () => near(sandShare(1.5, 1.1), 0.384));

test('no sand takes no room, and more sand takes more', () => {
  near(sandShare(0, 1.1), 0);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 2.9, noNaN: true }),
      (x) => sandShare(x, 1.1) < sandShare(x + 0.1, 1.1) && sandShare(x + 0.1, 1.1) < 0.6,
    ),
  );
});

test('a line 10 mm wide and 2.5 high is 16.7 mm² of cap', () => near(lineVolume(10, 2.5, 1000), 16.67, 0.005));

test('foam over 400 mm, 55 mm of reach, a third open', () => near(foamVolume(400, 55, method), 3.575));

test('volumes add up and grow with the area', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 9 }),
      fc.double({ min: 0.1, max: 5, noNaN: true }),
      (areas, t) => {
        near(sum(areas.map((a) => filmVolume(a, t))) - filmVolume(sum(areas), t), 0, 1e-6);
        near(withSpare(sum(areas), method) - sum(areas.map((a) => withSpare(a, method))), 0, 1e-6);
      },
    ),
  );
});
