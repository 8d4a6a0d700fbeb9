import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingColourants } from '#core/craft';
import {
  clearLayer,
  groundOf,
  hexOf,
  internalOf,
  layerOver,
  lightness,
  recipeLayer,
  sandGround,
  seenColour,
  seenOf,
  solidsShare,
  stackOver,
  type Rgb,
} from '#core/tint';
import { near } from '../help';

test('a layer over a ground', () => {
  near(layerOver(0.5, 0.2, 1, 0.8), 0.33016);
  near(layerOver(0.05, 1.5, 0.3, 0.1), 0.35376);
  near(layerOver(0.4, 0, 1, 0.8), 0.35946);
  near(layerOver(0, 2, 0.5, 0.1), 0.52632);
});

test('the surface: 0.6 inside is seen as 0.3600, and back', () => {
  near(seenOf(0.6), 0.36, 1e-9);
  fc.assert(fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (R) => near(internalOf(seenOf(R)), R, 1e-12)));
});

test('white of 6 % hides 0.690 at 0.15 mm, 0.810 at 0.25 and 0.903 at 0.43', () => {
  const contrast = (X: number): number =>
    seenOf(layerOver(0.012, 15, X, internalOf(seenOf(0.1429)))) / seenOf(layerOver(0.012, 15, X, 0.8));
  near(contrast(0.15), 0.69, 0.001);
  near(contrast(0.25), 0.81, 0.001);
  near(contrast(0.43), 0.903, 0.001);
});

test('phthalo blue at 1.5 mm over 0.8: the loads of an even slope give its lightnesses', () => {
  const slope = [
    [0.72, 0.000303],
    [0.64, 0.000654],
    [0.56, 0.001179],
    [0.48, 0.00196],
    [0.4, 0.003158],
  ] as const;
  for (const [L, load] of slope) {
    const layer = recipeLayer([{ colourantId: 'phthalo-blue', load }], startingColourants, 1.5);
    near(lightness(seenColour(stackOver([layer], [0.8, 0.8, 0.8]))), L, 0.0005);
  }
});

const channel = fc.double({ min: 0.01, max: 0.99, noNaN: true });
const strength = fc.double({ min: 0, max: 30, noNaN: true });
const films = fc.double({ min: 0.05, max: 4, noNaN: true });

test('a reflectance stays between 0 and 1', () => {
  fc.assert(
    fc.property(strength, strength, films, channel, (K, S, X, Rg) => {
      const R = layerOver(K, S, X, Rg);
      assert.ok(R >= -1e-9 && R <= 1 + 1e-9);
    }),
  );
});

test('a thicker film over white is never lighter', () => {
  fc.assert(
    fc.property(strength, films, films, (K, X, more) => assert.ok(layerOver(K, 0.1, X + more, 1) <= layerOver(K, 0.1, X, 1) + 1e-12)),
  );
});

test('no load is the ground through clear, whatever the film', () => {
  fc.assert(
    fc.property(films, channel, (X, Rg) => {
      const ground: Rgb = [Rg, Rg, Rg];
      near(stackOver([clearLayer(X)], ground)[0], Rg, 1e-9);
      near(stackOver([recipeLayer([], startingColourants, X)], ground)[1], Rg, 1e-9);
    }),
  );
});

test('one coat laid in two goes is the same coat', () => {
  const layer = (film: number) => ({ absorb: [3, 1, 0.2] as Rgb, scatter: [0.4, 0.6, 0.9] as Rgb, film });
  fc.assert(
    fc.property(films, films, (x, y) => {
      const [once, twice] = [stackOver([layer(x + y)], [0.8, 0.5, 0.2]), stackOver([layer(x), layer(y)], [0.8, 0.5, 0.2])];
      for (const c of [0, 1, 2] as const) near(once[c] - twice[c], 0, 1e-9);
    }),
  );
});

test('grounds: gesso hides the board, a sealer leaves it, wood and sand darken when wetted', () => {
  const primed = groundOf({ material: 'raw wood', primer: 'gesso', primerCoats: 3 });
  const sealed = groundOf({ material: 'raw wood', primer: 'clear sealer', primerCoats: 2 });
  assert.ok(primed.internal[0] > 0.8 && sealed.internal[2] < 0.3);
  for (const ground of [sealed, sandGround]) assert.ok(lightness(seenColour(ground.internal)) < lightness(ground.bare));
  const glass = groundOf({ material: 'glass', primer: 'none', primerCoats: 0 });
  near(seenOf(glass.internal[1]), glass.bare[1], 1e-12);
});

test('colours for the screen', () => {
  assert.equal(hexOf([1, 1, 1]), '#ffffff');
  assert.equal(hexOf([0.2158605, 0.2158605, 0.2158605]), '#808080');
  near(lightness([1, 1, 1]), 1, 1e-6);
  assert.deepEqual(seenColour([0, 0, 0]), [0.0005, 0.0005, 0.0005]);
});

test('solids of a white of 6 %, and a colourant that is not known brings nothing', () => {
  near(
    solidsShare([{ colourantId: 'white-paste', load: 0.06 }], startingColourants, 1.065),
    (((0.06 * 1.065) / 1.7) * 0.3) / (1 + (0.06 * 1.065) / 1.7),
    1e-12,
  );
  assert.equal(solidsShare([{ colourantId: 'none', load: 0.06 }], startingColourants, 1.065), 0);
});
