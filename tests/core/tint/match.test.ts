import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingColourants } from '#core/craft';
import { choices, deltaE, MATCHES, matchTint, mostOf, ofHex, recipeSeen, type Rgb } from '#core/tint';
import { resin, sample } from '../../factories';
import { near } from '../help';

const ground: Rgb = [0.84, 0.83, 0.8];
const into = { resin, colourants: startingColourants, film: 1.5, ground, resinG: 40, scaleStep: 0.01 };

test('every choice of one to three colourants', () => {
  assert.deepEqual(
    choices(['a', 'b', 'c']).map((c) => c.join('')),
    ['a', 'ab', 'abc', 'ac', 'b', 'bc', 'c'],
  );
  assert.equal(choices(Array.from({ length: 12 }, (_, i) => `${i}`)).length, 12 + 66 + 220);
});

test('a tint that can be made is found again', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 0.004, noNaN: true }),
      fc.double({ min: 0.001, max: 0.004, noNaN: true }),
      (blue, turquoise) => {
        const recipe = [
          { colourantId: 'phthalo-blue', load: blue },
          { colourantId: 'turquoise', load: turquoise },
        ];
        const [best] = matchTint(recipeSeen(recipe, startingColourants, 1.5, ground), { ...into, resinG: 400 });
        assert.ok(best!.deltaE < 1, String(best!.deltaE));
      },
    ),
    { numRuns: 12 },
  );
});

test('what is given is what the counted drops make: within the limit, three at most, nearest first', () => {
  const { colourants } = sample();
  const told: number[] = [];
  const matches = matchTint(ofHex('#3f7f78'), { ...into, colourants }, 4, (done, of) => told.push(done / of));
  assert.equal(matches.length, 4);
  for (const m of matches) {
    assert.ok(m.recipe.length <= 3 && mostOf(m.recipe, resin, colourants) >= 1 - 1e-9);
    near(m.deltaE, deltaE(m.seen, ofHex('#3f7f78')), 1e-12);
    near(deltaE(m.seen, recipeSeen(m.recipe, colourants, 1.5, ground)), 0, 1e-9);
  }
  const sets = matches.map((m) => m.recipe.map((p) => p.colourantId).join());
  assert.equal(new Set(sets).size, sets.length);
  assert.ok(matches[0]!.deltaE < MATCHES);
  assert.equal(told.at(-1), 1);
});

test('a colour that cannot be made is never called a match', () => {
  const [best] = matchTint(ofHex('#e03020'), into);
  assert.ok(best!.deltaE > MATCHES);
});

test('without colourants nothing is found', () => assert.deepEqual(matchTint(ofHex('#3f7f78'), { ...into, colourants: [] }), []));
