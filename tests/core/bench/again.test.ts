import assert from 'node:assert/strict';
import { test } from 'node:test';
import { besideDone, reallyDone } from '#core/bench';
import { rate } from '#core/cure';
import type { WaveCoat } from '#core/document';
import { madeAgain } from '#core/edit';
import { careCard, finishSteps } from '#core/prepare';
import { readSession } from '#core/record';
import { near } from '../help';
import { empty, method, metric, piece, planner, means, pourOf, resin, us, type Said } from '../../factories';

const panel = piece();
const told = pourOf(panel, '2026-11-01T10:00:00Z', []).told!;
const white = told.steps.find((s) => s.id.does === 'white')!;
const heat = told.steps.find((s) => s.id.does === 'heat')!;
const tint = told.cups.find((c) => c.id.role === 'tint')!;
const said: [number, Said][] = [
  [0, { kind: 'mixed', batch: 0 }],
  [
    2,
    {
      kind: 'weighed',
      batch: 0,
      what: 'colourant',
      cup: tint.id,
      colourantId: tint.doses[0]!.colourantId,
      grams: 2 * tint.doses[0]!.grams,
    },
  ],
  [30, { kind: 'did', step: white.id }],
  [33, { kind: 'did', step: heat.id }],
  [50, { kind: 'done' }],
];
const session = readSession(pourOf(panel, '2026-11-01T10:00:00Z', said));
const again = (shape = panel.shape, nowC = 18) =>
  madeAgain(panel, {
    done: reallyDone(session, panel.id),
    faster: (_, celsius) => rate(nowC, resin.refC, method.activationEa) / rate(celsius, resin.refC, method.activationEa),
    shape,
    pourId: 'pour',
    names: [panel.name],
    ids: [panel.id],
  });

test('a piece is made again with the minute of its white as today’s warmth makes it, its passes and its cups as they were', () => {
  const made = again();
  const wave = made.coats.find((c): c is WaveCoat => c.kind === 'wave')!;
  // 30 min at 23 °C, in a room of 18: later by the ratio of the rates
  near(wave.layAt!, 30 / rate(18, resin.refC, method.activationEa), 0.5);
  assert.equal(wave.passes, 1);
  assert.equal(made.again, 'pour');
  assert.notEqual(made.id, panel.id);
  const was = panel.coats.find((c) => c.kind === 'sea');
  const sea = made.coats.find((c) => c.kind === 'sea');
  assert.ok(was?.kind === 'sea' && sea?.kind === 'sea');
  const load = (of: typeof sea) => of.tints[tint.id.tint!]!.recipe.find((p) => p.colourantId === tint.doses[0]!.colourantId)!.load;
  near(load(sea) / ((2 * tint.doses[0]!.grams) / (tint.aG + tint.bG)), 1, 1e-9);
  assert.equal(sea.tints.filter((t, i) => JSON.stringify(t) !== JSON.stringify(was.tints[i])).length, 1);
  assert.ok(planner.plan(made, means).pours.length > 0);
});

test('on another board its sea is stretched with it, and it can be planned', () => {
  const made = again({ kind: 'rectangle', width: 800, height: 600 });
  near(made.sea.shoreline[1]!.x, 2 * panel.sea.shoreline[1]!.x, 1e-9);
  const [small, large] = [planner.plan(again(), means).area, planner.plan(made, means).area];
  near(large / small, 4, 1e-6);
});

test('a pour stands planned beside done in the studio’s own units', () => {
  const rows = besideDone(session, panel.id, metric);
  const row = (what: string) => rows.find((r) => r.what === what)!;
  assert.equal(row('White laid after mixing').done, '30 min');
  assert.match(row('White laid after mixing').means!, /window of/);
  assert.equal(row('Passes of heat').done, '1');
  assert.match(besideDone(session, panel.id, us)[0]!.planned, /°F/);
});

test('finishing ends with signing, weighing and handing over; a care card promises nothing', () => {
  for (const write of [metric, us]) {
    const steps = finishSteps(panel, method, write);
    assert.equal(new Set(steps.map((s) => s.work)).size, steps.length);
    assert.ok(steps.at(-1)!.work.endsWith('/deliver'));
    const wall = careCard({ ...panel, weighs: 1.4 }, empty.resins, write);
    assert.ok(wall.does.some((l) => l.includes(write.heavy(1400))));
  }
  const tray = careCard({ ...panel, use: 'food' }, empty.resins, metric, '12 Dec');
  assert.ok(tray.cautions.some((l) => /void what a maker states about food/.test(l)) && tray.does.some((l) => /12 Dec/.test(l)));
  const open = careCard({ ...panel, use: 'food', coats: panel.coats.filter((c) => c.kind !== 'top') }, empty.resins, metric);
  assert.ok(open.cautions.some((l) => /keep food off it altogether/.test(l)));
  assert.ok([...tray.does, ...tray.cautions].every((l) => !/\bsafe\b/i.test(l)));
});
