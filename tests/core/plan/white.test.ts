import assert from 'node:assert/strict';
import { test } from 'node:test';
import { limits, type Piece, type SandCoat, type WaveCoat } from '#core/document';
import { textureOf, texturePerResin } from '#core/craft';
import { withCoat, withLoad, withShape } from '#core/edit';
import { mixedDensity, sandShare } from '#core/mix';
import { whiteAmounts, whiteHiding, whiteStick } from '#core/plan';
import { siliconeLater, workBefore } from '#core/prepare';
import { stickFilm } from '#core/tint';
import { method, piece, plan, resin, coated } from '../../factories';
import { near } from '../help';

const [sandId, , waveId] = piece().coats.map((c) => c.id) as [string, string, string, string];
const wave = (part: Partial<WaveCoat> = {}): Piece => coated(piece(), { wave: part });
const of = (p: Piece) => {
  const planned = plan(p);
  return { planned, coat: planned.piece.coats[2] as WaveCoat };
};

test('white by its reach: length · (to sea + up the beach) · 0.25 · what stays closed', () => {
  const { planned, coat } = of(wave());
  const { byReach, byLine, length } = whiteAmounts(planned, coat);
  near(byReach, (length * 55 * 0.25 * 0.65) / 1000, 1e-9);
  near(byLine, (3 * (2 / 3) * 5 * 1.5 * length) / 1000, 1e-9);
  near(length, planned.cut.shoreLength, 1e-9);
});

test('the cup holds half as much again as the greater of reach and line, and never less than 15 ml', () => {
  const whiteOf = (p: Piece) => {
    const { planned, coat } = of(p);
    const { byReach, byLine } = whiteAmounts(planned, coat);
    const white = planned.pours[0]!.batches[0]!.cups.find((c) => c.id.role === 'white')!;
    near(white.makeup.laid, 1.5 * Math.max(byReach, byLine), 1e-9);
    near(white.makeup.heldBack, 0.03 * white.needed, 1e-9);
    return white;
  };
  assert.ok(whiteOf(wave()).ml >= 15 - 1e-9);
  const wide = whiteOf(wave({ reachSea: 120 }));
  near(wide.makeup.surplus, 0, 1e-12);
  const small = whiteOf(withShape(wave(), { kind: 'round', diameter: 100 }));
  near(small.ml, 15, 1e-9);
  near(small.makeup.surplus, 15 - small.needed - small.makeup.heldBack - small.makeup.stays, 1e-9);
});

test('farther to sea takes more by reach and not by line; open lace takes less', () => {
  const plain = whiteAmounts(of(wave()).planned, of(wave()).coat);
  const far = of(wave({ reachSea: 80 }));
  assert.ok(whiteAmounts(far.planned, far.coat).byReach > plain.byReach);
  near(whiteAmounts(far.planned, far.coat).byLine, plain.byLine, 1e-9);
  const open = of(wave({ lace: 'open' }));
  near(whiteAmounts(open.planned, open.coat).byReach, (plain.byReach * 0.5) / 0.65, 1e-9);
});

test('like pieces take their white together', () => {
  const four = of({ ...wave(), count: 4 });
  const one = of(wave());
  near(whiteAmounts(four.planned, four.coat).byReach, 4 * whiteAmounts(one.planned, one.coat).byReach, 1e-9);
});

test('more paste hides more, and its film is where contrast reaches 0.90', () => {
  const strong = of(wave());
  const weak = of(withLoad(wave(), waveId, 0, { colourantId: 'white-paste', load: 0.02 }));
  assert.ok(whiteHiding(strong.planned, strong.coat).contrast > whiteHiding(weak.planned, weak.coat).contrast);
  assert.ok(whiteHiding(strong.planned, strong.coat).hidesFrom < whiteHiding(weak.planned, weak.coat).hidesFrom);
  // 6 % of paste: K 0.012, S 15, the reference white
  near(whiteHiding(strong.planned, strong.coat).contrast, 0.81, 0.0005);
});

test('a beach takes room from its resin by its texture, and never so much that sand stays dry', () => {
  const density = mixedDensity(resin);
  const shares = (['smooth', 'soft', 'sandy', 'coarse'] as const).map((t) => sandShare(texturePerResin[t], density));
  assert.deepEqual(
    shares,
    [...shares].sort((a, b) => a - b),
  );
  assert.ok(shares.every((s) => s > 0 && s < 0.6));
  for (const t of ['smooth', 'soft', 'sandy', 'coarse'] as const) assert.equal(textureOf(texturePerResin[t]), t);
  const cup = (perResin: number) =>
    plan(withCoat(piece(), sandId, (c) => ({ ...(c as SandCoat), sandPerResin: perResin }))).coats[0]!.cups[0]!;
  assert.ok(cup(2.2).ml < cup(0.5).ml, 'a coarser beach orders less resin');
  near(cup(2.2).sandG / (cup(2.2).parts.aG + cup(2.2).parts.bG), 2.2, 1e-9);
  assert.ok(limits.additiveDrops.max >= 2);
});

test('silicone costs the next coat a degreasing, a scuffing and a seal of 0.3 mm with its spare', () => {
  const { hours, sealMl } = siliconeLater(120_000, method);
  near(hours, 2 * 0.25 + 3, 1e-9);
  near(sealMl, 36 * 1.05, 1e-9);
});

test('hands are part of the hours, never more than them', () => {
  for (const work of workBefore(piece(), method)) assert.ok(work.hands > 0 && work.wait >= 0, work.key);
  const quick = workBefore(piece(), { ...method, drying: { gesso: 0.1 } }).find((w) => w.key === 'gesso')!;
  near(quick.hands, 0.3, 1e-9);
  near(quick.wait, 0, 1e-9);
});

test('a stick dipped into the white keeps more of it the later it is laid, and none is kept without a batch', () => {
  const p = plan();
  const wave = p.piece.coats[2] as WaveCoat;
  const [soon, late] = [whiteStick(p, { ...wave, layAt: 6 })!, whiteStick(p, { ...wave, layAt: 40 })!];
  assert.ok(late.mu > soon.mu && late.film > soon.film && late.contrast > soon.contrast);
  near(soon.film, stickFilm(soon.mu, 30, 5, mixedDensity(resin)), 1e-12);
  assert.equal(whiteStick({ ...p, pours: [] }, wave), undefined);
});
