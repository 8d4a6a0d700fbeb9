import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingColourants } from '#core/craft';
import type { Colourant } from '#core/document';
import { byEye, groundNamed, hexOf, hidingFilm, LOOK_FILM, readColour, recipeLayer, recipeSeen, whitesOf, type Rgb } from '#core/tint';
import { dose } from '#core/mix';
import { near } from '../help';

const WHITE = groundNamed('white primer').internal;
const rgb = (text: string): Rgb => {
  const reading = readColour(text);
  assert.ok(reading.ok);
  return reading.value;
};
const made = (kind: Colourant['kind'], colour: Rgb, look: Parameters<typeof byEye>[2]): Colourant => ({
  id: 'own',
  name: 'Own',
  kind,
  density: 1.1,
  solids: 0.1,
  dropMl: 0.025,
  ...byEye(kind, colour, look),
});
const seen = (c: Colourant, load: number, film = LOOK_FILM): Rgb => recipeSeen([{ colourantId: 'own', load }], [c], film, WHITE);

test('a colour picked by eye is what its film over white then looks like', () => {
  for (const hex of ['#2a4fb8', '#1f9a72', '#6b3fa0', '#b58a55', '#103050'])
    assert.equal(hexOf(seen(made('liquid pigment', rgb(hex), 'ordinary'), 0.002)), hex);
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.001, max: 0.6, noNaN: true }), { minLength: 3, maxLength: 3 }),
      fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
      (c, load) => {
        const got = seen(made('liquid pigment', c as Rgb, { load }), load);
        for (const i of [0, 1, 2] as const) near(got[i], c[i]!, 0.01);
      },
    ),
  );
});

test('a strong one takes half of the drops of an ordinary one, a weak one twice', () => {
  const teal = rgb('teal');
  const k = (look: 'weak' | 'ordinary' | 'strong'): number => made('alcohol ink', teal, look).absorb[0];
  near(k('strong') / k('ordinary'), 2, 0.01);
  near(k('ordinary') / k('weak'), 2, 0.01);
});

test('so many drops in so much that looked like this come to the same drops again', () => {
  // five drops in 50 g
  const load = (5 * 0.025 * 1.1) / 50;
  const own = made('liquid pigment', rgb('#5fbfa6'), { load });
  assert.equal(hexOf(seen(own, load)), '#5fbfa6');
  assert.equal(dose({ colourantId: 'own', load }, own, 50).count, 5);
});

test('what covers is the colour of a film that hides', () => {
  const gold = made('mica powder', rgb('#b9903a'), 'ordinary');
  assert.ok(hidingFilm(recipeLayer([{ colourantId: 'own', load: 0.06 }], [gold], 1)) < 1.5);
  const thick = seen(gold, 0.06, 6);
  for (const i of [0, 1, 2] as const) near(thick[i], rgb('#b9903a')[i], 0.02);
});

test('a colour typed as words says what would be right', () => {
  assert.deepEqual(readColour('#fff'), { ok: true, value: [1, 1, 1] });
  for (const text of ['the sea at dusk', '', '#12', 'blueish'])
    assert.match((readColour(text) as { says: string }).says, /is no colour here\. Pick one, or write it as #1b6f8a or teal/);
});

test('a studio starts with blues, greens, a pink, a purple, a tan, black, two whites, gold and pearl', () => {
  const names = startingColourants.map((c) => c.name).join();
  for (const word of ['blue', 'Turquoise', 'green', 'Pink', 'Violet', 'Tan', 'Black', 'Gold', 'Pearl'])
    assert.match(names, new RegExp(word));
  assert.equal(whitesOf(startingColourants).filter((c) => /White/.test(c.name)).length, 2);
  assert.ok(startingColourants.filter((c) => c.byEye).every((c) => c.scatter[0] >= 5));
});
