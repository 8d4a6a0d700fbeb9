import { fieldOf } from '#core/geometry';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { startingCoat } from '#core/edit';
import { buildUp, chartColours, groundsUnder, laceThrough, sectionColour, sectionOf, seenThrough, type PiecePlan } from '#core/plan';
import { deltaE, hexOf, lightness, lightnessOf, ofHex, sandGround, seenColour } from '#core/tint';
import { empty, means, piece, plan, resin } from '../../factories';
import { near } from '../help';

/** Sand, sea, wave, then a glaze over the lacing, a second wave, and the top. */
const layered = (): PiecePlan => {
  const p = piece();
  const coat = (kind: 'glaze' | 'wave', id: string) => startingCoat(kind, id, resin.id, 5, empty);
  return plan({ ...p, coats: [...p.coats.slice(0, 3), coat('glaze', 'glaze'), coat('wave', 'wave-2'), p.coats[3]!] });
};
const at = (p: PiecePlan, coats: number, wet = false) => chartColours(p.site, p.cut, means.colourants, { coats, wet });
const seaOf = (p: PiecePlan, coats: number): string => at(p, coats).patches.find((x) => x.part === 3)!.colour!;

test('before any coat the bare ground is seen; after all of them, the finished chart', () => {
  const p = layered();
  const bare = at(p, 0);
  assert.equal(new Set(bare.patches.map((x) => x.colour)).size, 1);
  assert.equal(bare.foams.length, 0);
  assert.deepEqual(
    at(p, p.coats.length).patches.map((x) => x.colour),
    p.colours.patches.map((x) => x.colour),
  );
});

test('each coat of colour darkens what is seen, a clear one does not', () => {
  const p = layered();
  const [sea, glazed, topped] = [seaOf(p, 2), seaOf(p, 4), seaOf(p, 6)];
  assert.ok(lightnessOf(glazed) < lightnessOf(sea) - 0.01);
  assert.equal(topped, glazed);
});

test('while its pour is wet a wave is whole white; hard, its cells have opened', () => {
  const p = layered();
  assert.deepEqual(
    at(p, 3, true).foams.map((f) => f.closed),
    [1],
  );
  near(at(p, 3).foams[0]!.closed, 0.65, 1e-9);
  // the first wave has long been hard when the second is wet
  const [first, second] = at(p, 5, true).foams.map((f) => f.closed);
  near(first!, 0.65, 1e-9);
  assert.equal(second, 1);
});

test('the section is seen through every coat as thick as it lies there', () => {
  const p = layered();
  const section = sectionOf(p, { x: 200, y: 300 }, { x: 200, y: 0 }, { coats: 2, wet: false });
  assert.ok(section.layers.every((l) => l.kind === 'sand' || l.kind === 'sea'));
  const deep = section.parts.lastIndexOf(5);
  // the wave of its pour lifts the film a little, so the deep is a shade deeper than its film alone
  const planned = ofHex(at(p, 2).patches.find((x) => x.part === 5)!.colour!);
  assert.ok(deltaE(ofHex(section.seen[deep]!), planned) < 4);
  assert.ok(lightness(ofHex(section.seen[deep]!)) <= lightness(planned) + 1e-3);
  assert.equal(section.seen[4], hexOf(seenColour(sandGround.internal)), 'the beach hides the board');
  // sand that thins out under the sea is seen through it
  const shore = section.parts.indexOf(1);
  assert.notEqual(section.seen[shore], section.seen[section.parts.lastIndexOf(1)]);
  const whole = sectionOf(p, { x: 200, y: 300 }, { x: 200, y: 0 });
  assert.equal(whole.layers.length, 8);
});

test('a layer of the section has the colour it had when nothing lay on it', () => {
  const p = layered();
  const section = sectionOf(p, { x: 200, y: 300 }, { x: 200, y: 0 });
  const glaze = section.layers.find((l) => l.kind === 'glaze')!;
  assert.equal(sectionColour(p, glaze, 3), seaOf(p, 4));
  assert.equal(
    sectionColour(
      p,
      section.layers.find((l) => l.kind === 'barrier')!,
      1,
    ),
    undefined,
  );
});

test('off the resin, and over a ground no model knows, nothing is claimed', () => {
  const p = plan(
    piece({}, { shape: { kind: 'round', diameter: 300 }, surface: { material: 'raw wood', primer: 'paint', primerCoats: 1 } }),
  );
  const build = buildUp(p.site, fieldOf(p.piece.shape));
  const seen = seenThrough(build.layings, build.parts, p.site, means.colourants, { coats: p.coats.length, wet: false });
  const known = (part: number): boolean => !Number.isNaN(seen[3 * build.parts.indexOf(part)]!);
  assert.ok(known(0), 'sand hides the paint');
  assert.ok(!known(4) && !known(-1));
  assert.equal(groundsUnder(p.site, p.piece.coats[1]!.id, means.colourants)[3], undefined);
});

test('a glaze over lacing leaves part of the contrast of its white, a thicker one less', () => {
  const p = layered();
  const [lace] = laceThrough(p, 'glaze');
  assert.equal(lace!.number, 3);
  assert.ok(lace!.after < lace!.before && lace!.after > 0.05);
  const coats = p.piece.coats.map((c) => (c.kind === 'glaze' ? { ...c, film: 2 } : c));
  const [thicker] = laceThrough(plan({ ...p.piece, coats }), 'glaze');
  near(thicker!.before, lace!.before, 1e-9);
  assert.ok(thicker!.after < lace!.after);
  // clear over everything changes nothing that can be told
  near(laceThrough(p, p.piece.coats[5]!.id)[0]!.after, lace!.after, 1e-9);
  assert.deepEqual(laceThrough(p, p.piece.coats[1]!.id), [], 'nothing lies below the sea');
  assert.ok(lightness(ofHex(seaOf(p, 2))) > 0);
});

test('a wave that breaks at sea is judged against the sea it breaks on', () => {
  const p = layered();
  const breaker = {
    id: 'breaker-1',
    name: 'Out',
    points: [
      { x: 20, y: 20 },
      { x: 200, y: 20 },
      { x: 380, y: 20 },
    ],
  };
  const coats = p.piece.coats.map((c, i) => (i === 2 && c.kind === 'wave' ? { ...c, along: breaker.id } : c));
  const [atSea] = laceThrough(plan({ ...p.piece, sea: { ...p.piece.sea, breakers: [breaker] }, coats }), 'glaze');
  const [atShore] = laceThrough(p, 'glaze');
  assert.ok(atSea!.before > atShore!.before + 0.1, 'white stands out more on the deep');
});
