import assert from 'node:assert/strict';
import { test } from 'node:test';
import { beach } from '#core/craft';
import type { Beach } from '#core/document';
import { withBeach, withGrainColour, withTintedSand } from '#core/edit';
import { advise } from '#core/advice';
import { deltaE, grainGround, lightnessOf, ofHex, sandGround } from '#core/tint';
import { coated, empty, metric, piece, plan, the } from '../../factories';
import { amiss, followed, written } from '../../followed';
import { near } from '../help';

const { colourants } = empty;
const ways = beach.ways.map((w) => w.value).filter((w) => w !== 'bare');
const laid = (how: Beach, tinted = false) => {
  const p = piece();
  const { id } = the(p, 'sand');
  const other = withBeach(p, id, how, colourants);
  return tinted ? withTintedSand(other, id, true, colourants) : other;
};
const beachColour = (p: ReturnType<typeof piece>): string => plan(p).colours.patches.find((x) => x.part === 0)!.colour!;

test('every beach, tinted or not, of one board and of four, is right to the end in every way of writing', () => {
  for (const how of ways)
    for (const tinted of [false, true])
      for (const count of [1, 4])
        for (const way of Object.keys(written) as (keyof typeof written)[]) {
          const of = `${how}, ${tinted ? 'tinted' : 'plain'}, ${count}, ${way}`;
          const f = followed({ ...laid(how, tinted), count }, way);
          assert.deepEqual(amiss(f), [], of);
          assert.deepEqual(
            f.findings.filter((x) => x.severity !== 'note').map((x) => x.says),
            [],
            of,
          );
          const cup = f.told[0]!.cups.find((c) => c.id.role === 'sand')!;
          assert.equal(cup.sandG > 0, how !== 'tint', of);
          assert.equal(cup.doses.length > 0, tinted || how === 'tint', of);
          const supply = (s: string): number => f.taken.find((t) => t.of.kind === 'supply' && t.of.supply === s)?.amount ?? 0;
          near(supply('gravel'), how === 'gravel' ? cup.sandG : 0, 0.01);
          near(supply('sand'), how === 'in resin' || how === 'pressed in' ? cup.sandG : 0, 0.01);
        }
});

test('a beach says what it is laid in', () => {
  const said = (how: Beach): string => followed(laid(how)).says.find((w) => /beach/.test(w.says))!.says;
  assert.equal(said('in resin'), 'Lay the beach, thinner toward the water.');
  assert.equal(said('pressed in'), 'Lay the clear for the beach, thinner toward the water.');
  assert.equal(said('gravel'), 'Lay the gravel over the beach, thinner toward the water.');
  assert.equal(said('tint'), 'Lay Beach tint over the beach, thinner toward the water.');
  const gravel = followed(laid('gravel'), 'marked').says.find((w) => /gravel/.test(w.says))!;
  assert.match(gravel.amounts[0]!.holds!, /^\d+ ml gravel$/);
});

test('the colour of a beach is that of its grains, of what lies between them, or of its tint', () => {
  const plain = beachColour(laid('in resin'));
  const black = beachColour(withGrainColour(laid('in resin'), the(piece(), 'sand').id, '#1a1a1a'));
  assert.ok(lightnessOf(black) < 0.35 && lightnessOf(plain) > 0.6);
  const tinted = beachColour(laid('in resin', true));
  assert.ok(deltaE(ofHex(tinted), ofHex(plain)) > 1, `${tinted} is told from ${plain}`);
  // the tint of a beach covers: white or wooden boards look alike under it
  const onWood = { ...laid('tint'), surface: { ...piece().surface, primer: 'clear sealer' as const } };
  assert.ok(deltaE(ofHex(beachColour(onWood)), ofHex(beachColour(laid('tint')))) < 20);
  assert.ok(lightnessOf(beachColour(laid('tint'))) > 0.6);
  // without tint the bed of grains is as it was measured: R∞ of its own k/s
  grainGround('sand', undefined, { absorb: [0, 0, 0], scatter: [0, 0, 0], share: 0.4 }).internal.forEach((v, c) =>
    near(v, sandGround.internal[c]!, 1e-9),
  );
});

test('a beach laid in something else starts with the film of that, and keeps one of the artist’s own', () => {
  const { id } = the(piece(), 'sand');
  const own = coated(piece(), { sand: { film: 3.3 } });
  assert.equal(the(withBeach(own, id, 'gravel', colourants), 'sand').film, 3.3);
  assert.equal(the(laid('gravel'), 'sand').film, 4);
  assert.equal(the(withBeach(laid('gravel'), id, 'tint', colourants), 'sand').film, 0.9);
  assert.equal(the(withBeach(laid('tint'), id, 'in resin', colourants), 'sand').tint, undefined);
});

test('a bare beach has no coat, and is the board or its paint under the top', () => {
  const p = withBeach(
    piece({ surface: { ...piece().surface, ground: 'painted', colours: ['#d9c19a'] } }),
    the(piece(), 'sand').id,
    'bare',
    colourants,
  );
  assert.ok(!p.coats.some((c) => c.kind === 'sand'));
  assert.ok(deltaE(ofHex(beachColour(p)), ofHex('#d9c19a')) < 15);
  assert.deepEqual(amiss(followed(p)), []);
});

test('gravel that ends as a step above the sea is said by its name', () => {
  const p = coated(laid('gravel'), { sand: { taper: 0 } });
  const says = advise({ plan: plan(p), write: metric }).find((f) => f.code === 'sand-over-film')!.says;
  assert.match(says, /^Gravel ends as a step 2 mm over the sea/);
});
