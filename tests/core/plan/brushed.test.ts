import assert from 'node:assert/strict';
import { test } from 'node:test';
import { advise } from '#core/advice';
import type { Brushed, Coat, Piece } from '#core/document';
import { boardSupplies } from '#core/pour';
import { sectionOf } from '#core/plan';
import { sayBetween, workBetween } from '#core/prepare';
import { brushOver, deltaE, groundNamed, lightnessOf, ofHex } from '#core/tint';
import { coat, metric, method, piece, plan, the } from '../../factories';
import { amiss, followed, written } from '../../followed';
import { near } from '../help';

/** A panel with something brushed on before one of its coats. */
const brushed = (kind: Coat['kind'], own: Brushed, p = piece()): Piece => ({
  ...p,
  coats: p.coats.map((c) => (c.kind === kind ? { ...c, brushed: own } : c)),
});
const seen = (p: Piece, part = 2): string => plan(p).colours.patches.find((x) => x.part === part)!.colour!;

test('a wash over white is seen in its own colour, over dark as dark; paint is seen as it is; a sealer is not seen', () => {
  const white = groundNamed('white primer').internal;
  const own: [number, number, number] = [...white];
  brushOver({ kind: 'wash', colour: '#ffffff' }, own);
  own.forEach((v, c) => near(v, white[c]!, 1e-9));
  const dark: [number, number, number] = [0.1, 0.1, 0.1];
  brushOver({ kind: 'wash', colour: '#6699cc' }, dark);
  assert.ok(dark.every((v) => v <= 0.1) && dark[2] > dark[0]);
  const paint: [number, number, number] = [0.1, 0.1, 0.1];
  brushOver({ kind: 'paint', colour: '#ffffff' }, paint);
  paint.forEach((v) => near(v, 1, 1e-9));
  const top = (b: Brushed): string => seen(brushed('top', b));
  assert.equal(top({ kind: 'sealer' }), seen(piece()));
  assert.ok(deltaE(ofHex(top({ kind: 'wash', colour: '#d98080' })), ofHex(seen(piece()))) > 5);
  assert.ok(lightnessOf(top({ kind: 'paint', colour: '#202020' })) < 0.35);
});

test('paint makes known what was not: over foil its colour is what is seen', () => {
  const foil = { ...piece(), surface: { ...piece().surface, ground: 'foil' as const }, coats: [coat('clear')] };
  assert.equal(plan(foil).colours.patches[0]!.colour, undefined);
  const p = plan(brushed('clear', { kind: 'paint', colour: '#3366aa' }, foil));
  assert.ok(p.colours.patches.every((x) => x.colour !== undefined));
  const section = sectionOf(p, { x: 200, y: 300 }, { x: 195, y: 0 });
  assert.ok(section.seen[100] !== undefined);
});

test('it is said before its coat, with its hours, its supplies, and never of a coat that lies', () => {
  const p = brushed('top', { kind: 'sealer' });
  const [work, ...more] = workBetween(p, method);
  assert.equal(more.length, 0);
  near(work!.hands + work!.wait, 3, 1e-9);
  assert.equal(sayBetween(work!, 'Clear top').does, 'Brush the sealer on before Clear top, and let it dry through.');
  assert.ok(boardSupplies(plan(p)).some((s) => s.supply === 'sealer' && s.amount > 5));
  const lying = { ...p, coats: p.coats.map((c): Coat => ({ ...c, lies: {} })) };
  assert.equal(workBetween(lying, method).length, 0);
});

test('brushed on wet resin it is a stop; a sealer is what a coat over silicone asks for', () => {
  const codes = (p: Piece): string[] => advise({ plan: plan(p), write: metric }).map((f) => f.code);
  assert.ok(codes(brushed('wave', { kind: 'wash' })).includes('brushed-on-wet'));
  assert.ok(!codes(brushed('top', { kind: 'wash' })).includes('brushed-on-wet'));
  const silicone = { ...piece(), coats: piece().coats.map((c) => (c.kind === 'wave' ? { ...c, additive: 'silicone' as const } : c)) };
  assert.ok(codes(silicone).includes('silicone-before-coat'));
  assert.ok(!codes(brushed('top', { kind: 'sealer' }, silicone)).includes('silicone-before-coat'));
});

test('whatever is brushed on, before the first coat or the last, it is right to the end in every way of writing', () => {
  for (const kind of ['sealer', 'wash', 'paint'] as const)
    for (const under of ['sand', 'top'] as const)
      for (const colour of [undefined, '#446688'])
        for (const way of Object.keys(written) as (keyof typeof written)[]) {
          const p = { ...brushed(under, { kind, ...(colour && { colour }) }), count: 2 };
          assert.deepEqual(amiss(followed(p, way)), [], `${kind} ${under} ${colour} ${way}`);
        }
  assert.equal(the(brushed('top', { kind: 'wash' }), 'top').brushed?.kind, 'wash');
});
