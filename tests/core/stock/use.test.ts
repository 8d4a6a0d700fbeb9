import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { pricingOf, startingPricing } from '#core/craft';
import { withCoat } from '#core/edit';
import type { Pour, WaveCoat } from '#core/document';
import { readSession, summaryOf } from '#core/record';
import {
  comingPours,
  balanceOf,
  hoursOf,
  itemName,
  leftOver,
  leftoverUses,
  ledger,
  quoteOf,
  shelfOf,
  shortOf,
  takenByBatch,
  takenByBoard,
  takenByCup,
  takenByPour,
  usedBy,
  usagesOf,
  wasted,
  type Taken,
} from '#core/stock';
import { empty, means, method, piece, plan, pourOf, resin, sample, type Said, utc, planner, can } from '../../factories';
import { near, sum } from '../help';

const grams = (taken: Taken[], kind: string): number =>
  sum(taken.filter((t) => `${t.of.kind}${t.of.kind === 'resin' ? t.of.part : ''}` === kind).map((t) => t.amount));
const panel = plan();
const batch = panel.pours[0]!.batches[0]!;
/** A pour of the first coats of the panel, its events a minute apart. */
const told = (...said: Said[]): Pour =>
  pourOf(
    piece(),
    '2026-11-01T10:00:00Z',
    said.map((s, i) => [i, s]),
  );
const used = (pour: Pour) => usedBy(readSession(pour), new Set());
const mixed: Said = { kind: 'mixed', batch: 0 };
const done: Said = { kind: 'done' };

test('a batch takes its A and B with what the mixing cup keeps, and every colourant of its cups', () => {
  const taken = takenByBatch(batch);
  near(grams(taken, 'resinA'), batch.parts.aG, 1e-9);
  near(grams(taken, 'resinB'), batch.parts.bG, 1e-9);
  near(grams(taken, 'colourant'), sum(batch.cups.flatMap((c) => c.doses.map((d) => d.grams))), 1e-9);
  near(sum(taken.filter((t) => t.of.kind === 'supply').map((t) => t.amount)), batch.cups.find((c) => c.name === 'Sand')!.sandG, 1e-9);
  const cups = batch.cups.flatMap((c) => takenByCup(c, resin));
  assert.ok(grams(cups, 'resinA') < batch.parts.aG, 'the mixing cup keeps the rest');
});

test('only a finished pour is deducted, by what the scale said where it said something', () => {
  assert.equal(used(told(mixed)), undefined);
  const planned = used(told(mixed, done))!;
  near(grams(planned.taken, 'resinA'), batch.parts.aG, 0.001);
  const weighed = used(told({ ...mixed, aG: 150, bG: 128 }, done))!;
  assert.deepEqual([grams(weighed.taken, 'resinA'), grams(weighed.taken, 'resinB')], [150, 128]);
  const read = (what: 'A' | 'B', g: number): Said => ({ kind: 'weighed', batch: 0, what, grams: g });
  const takes = used(told(read('A', 100), read('A', 50), read('B', 128), mixed, done))!;
  assert.deepEqual([grams(takes.taken, 'resinA'), grams(takes.taken, 'resinB')], [150, 128], 'each take adds to those before');
  const deep = batch.cups.find((c) => c.name === 'Deep')!;
  const tinted = used(
    told(mixed, { kind: 'weighed', batch: 0, what: 'colourant', cup: deep.id, colourantId: 'phthalo-blue', grams: 1 }, done),
  )!;
  near(grams(tinted.taken, 'colourant'), grams(planned.taken, 'colourant') - deep.doses[0]!.grams + 1, 0.001);
  const other = used(told(mixed, { kind: 'weighed', batch: 1, what: 'A', grams: 9 }, done))!;
  near(grams(other.taken, 'resinA'), batch.parts.aG, 0.001);
  const notMixed = used(told(done))!;
  assert.equal(grams(notMixed.taken, 'resinA'), 0, 'what was never mixed is still on the shelf');
});

test('two pours of one id with as many events, as two windows or an import may bring, are each read for themselves', () => {
  const cans = (['A', 'B'] as const).map((part) => can(part, { of: { kind: 'resin', resinId: resin.id, part } }));
  const left = (pour: Pour): number[] => shelfOf(cans, [pour], empty, utc).lines.map((l) => l.left);
  const weighed = (aG: number, bG: number): Pour => told({ ...mixed, aG, bG }, done);
  const [first, other] = [weighed(150, 128), weighed(100, 85)];
  assert.deepEqual([first.id, first.events.length], [other.id, other.events.length]);
  assert.deepEqual(
    [left(first), left(other), left(first)],
    [
      [850, 872],
      [900, 915],
      [850, 872],
    ],
  );
});

test('a pour that was given up took what was mixed by then, and no primer; before that it took nothing', () => {
  const given: Said = { kind: 'abandoned', why: 'the wrong board' };
  assert.deepEqual(usagesOf([told(given)]), []);
  const [use] = usagesOf([told(mixed, given)]);
  near(grams(use!.taken, 'resinA'), batch.parts.aG, 0.001);
  assert.ok(!use!.taken.some((t) => t.of.kind === 'supply' && t.of.supply === 'gesso'));
});

test('a board takes its primer by its area, tape round a taped rim, and what is set on it; like pieces take it together', () => {
  const taped = plan(
    piece({ edge: 'taped', count: 2, dressings: [{ id: 'd', kind: 'shell', x: 50, y: 250, size: 20, height: 8, when: 'after the wave' }] }),
  );
  const taken = Object.fromEntries(takenByBoard(taped).map((t) => [t.of.kind === 'supply' ? t.of.supply : '', t.amount]));
  near(taken['gesso']!, (2 * 3 * taped.area * 0.15) / 1000, 1e-9);
  near(taken['tape']!, (2 * taped.rim) / 1000, 1e-9);
  assert.equal(taken['shells'], 2);
  assert.equal(takenByPour(taped.pours[0]!).find((t) => t.of.kind === 'supply' && t.of.supply === 'gloves')!.amount, 4);
});

test('where a batch ends up adds up to it, and caught drips are no waste', () => {
  const balance = balanceOf(batch);
  near(balance.laid + balance.stays + balance.drips + balance.over, batch.ml, 1e-6);
  assert.ok(balance.drips > 0 && balance.over > 0);
  near(wasted(balance, method), balance.stays + balance.drips, 1e-9);
  const caught = { ...method, runOff: 'caught' as const };
  near(leftOver(balance, caught), balance.over + balance.drips, 1e-9);
  near(wasted(balance, caught), balance.stays, 1e-9);
  const walled = plan(piece({ edge: 'wall', wallHeight: 12 }));
  assert.equal(balanceOf(walled.pours[0]!.batches[0]!).drips, 0);
});

test('drips painted up the sides need less in the cup than drips that are lost', () => {
  const painted = plan(piece(), { method: { ...method, runOff: 'painted up' } });
  assert.ok(painted.pours[0]!.batches[0]!.ml < batch.ml);
  assert.equal(balanceOf(painted.pours[0]!.batches[0]!).drips, 0);
});

test('a split batch drips no more than a whole one', () => {
  const large = piece({}, { shape: { kind: 'rectangle', width: 1600, height: 900 } });
  const warm = { air: steady(27), resins: [{ ...resin, statedG: 0 }] };
  const drips = (change: Partial<typeof method>): number =>
    sum(plan(large, { ...warm, method: { ...method, ...change } }).pours[0]!.batches.map((b) => balanceOf(b).drips));
  assert.ok(plan(large, warm).pours[0]!.batches.length > 1);
  near(drips({}), drips({ batches: 'one a resin' }), 1e-6);
});

test('what is left over goes to the next base of the same resin first, then into the moulds it fills', () => {
  const waiting = plan(piece({ name: 'Next', coats: [{ id: 'seal', kind: 'seal', resinId: resin.id, samePour: false, film: 0.3 }] }));
  const moulds = [
    { id: 'm45', name: 'Coaster', use: 'mould' as const, holds: 45, count: 1 },
    { id: 'm12', name: 'Pebble', use: 'mould' as const, holds: 12, count: 3 },
  ];
  const need = waiting.pours[0]!.coats[0]!.ml;
  const uses = leftoverUses(need + 70, resin, [{ plan: waiting, pour: 0 }], moulds);
  assert.deepEqual(
    uses.map((u) => (u.kind === 'mould' ? `${u.count} ${u.mould.name}` : `${u.coat} of ${u.piece}, whole ${u.whole}`)),
    ['Seal of Next, whole true', '1 Coaster', '2 Pebble'],
  );
  assert.deepEqual(leftoverUses(2, resin, [], moulds), []);
  assert.deepEqual(leftoverUses(50, { ...resin, id: 'other' }, [{ plan: waiting, pour: 0 }], []), []);
});

test('coming pours: what is dated first, without what was poured', () => {
  const studio = sample();
  const coming = comingPours(
    studio.pieces,
    studio.pours.map(summaryOf),
    {
      ...means,
      resins: studio.resins,
      colourants: studio.colourants,
      method: studio.method,
    },
    planner,
  );
  assert.deepEqual(
    coming.slice(0, 4).map((c) => `${c.piece.name} ${c.pour + 1}`),
    ['Kelp Cove I 1', 'Kelp Cove I 2', 'Kelp Cove I 3', 'Ferry tray 2'],
  );
  assert.ok(!coming.some((c) => c.piece.id === 'jetty-rail'));
  assert.ok(coming.find((c) => c.piece.id === 'ferry-tray')!.pour === 1);
});

test('what the shelf is short of: it goes to the pours that come first, and what was never on it is not counted', () => {
  const [first, second] = [piece({ id: 'first' }), piece({ id: 'second' })];
  const A = { kind: 'resin', resinId: resin.id, part: 'A' } as const;
  const gloves = { kind: 'supply', supply: 'gloves' } as const;
  const coming = [first, second, second].map((p, pour) => ({
    piece: p,
    plan: panel,
    pour,
    taken: [
      { of: A, amount: 400, unit: 'g' as const },
      { of: gloves, amount: 2, unit: 'pieces' as const },
    ],
  }));
  const materials = { resins: [resin], colourants: [] };
  const shelf = ledger([can('a', { size: 900 })], [], materials, utc);
  assert.deepEqual(shortOf(coming, shelf, materials, '2026-11-25'), [
    { pieceId: 'second', of: [{ name: itemName(A, materials), more: 300, unit: 'g' }] },
  ]);
  assert.deepEqual(
    shortOf(coming, ledger([can('a', { size: 500 })], [], materials, utc), materials, '2026-11-25').flatMap((m) =>
      m.of.map((o) => `${m.pieceId} ${o.more}`),
    ),
    ['second 700'],
  );
  assert.deepEqual(shortOf(coming, ledger([can('a', { size: 1300 })], [], materials, utc), materials, '2026-11-25'), []);
});

test('the sample’s shelf: five pours deducted, nothing short', () => {
  const studio = sample();
  const shelf = shelfOf(studio.stock!, studio.pours, studio, utc);
  assert.deepEqual(shelf.short, []);
  assert.ok(shelf.lines.find((l) => l.stock.id === 'slow-a-1')!.left < 1000);
  assert.equal(shelf.lines.find((l) => l.stock.id === 'gloves-1')!.left, 100 - 62 - 5 * 4);
});

test('a price: materials, hours at the rate, overhead on both, and the margin on top', () => {
  const shelf = ledger(
    (['A', 'B'] as const).map((part) => ({
      id: part,
      name: part,
      of: { kind: 'resin' as const, resinId: resin.id, part },
      size: 1000,
      unit: 'g' as const,
      price: 30,
      since: '2026-01-01',
    })),
    [],
    empty,
    utc,
  );
  const quote = quoteOf(panel, shelf, empty, startingPricing);
  near(quote.materials, 0.03 * sum(panel.pours.flatMap((p) => p.batches.map((b) => b.grams))), 1e-9);
  near(quote.labour, 25 * quote.totalHours, 1e-9);
  near(quote.price, (quote.materials + quote.labour) * 1.15 * 1.2, 1e-9);
  assert.ok(quote.waste > 0 && quote.waste < quote.materials);
  assert.ok(quote.unpriced.length > 0, 'colourants and gesso have no price here');
  const [preparing, first] = hoursOf(panel, method, pricingOf(empty.settings));
  near(preparing!.hours, (25 + 3 * 10 + 15) / 60, 1e-9);
  near(first!.hours, (panel.pours[0]!.steps.at(-1)!.at + 40) / 60, 1e-9);
});

test('drops of additive are counted into the white’s cup and off the shelf', () => {
  const [, , waveId] = piece().coats.map((c) => c.id);
  const helped = plan(withCoat(piece(), waveId!, (c) => ({ ...(c as WaveCoat), additive: 'silicone', additiveDrops: 2 })));
  const white = helped.pours[0]!.batches[0]!.cups.find((c) => c.id.role === 'white')!;
  assert.deepEqual(white.made.additive, { name: 'silicone', drops: 2 });
  near(takenByPour(helped.pours[0]!).find((t) => t.of.kind === 'supply' && t.of.supply === 'additive')!.amount, 0.1, 1e-12);
});

test('what a pour took follows every event that is added to it', () => {
  const pour = told({ ...mixed, aG: 100, bG: 85 });
  assert.deepEqual(usagesOf([pour]), [], 'it is under way');
  const over: Pour = { ...pour, events: [...pour.events, { kind: 'done', seq: 2, at: '2026-11-01T11:00:00Z' }] };
  const [first] = usagesOf([over]);
  assert.equal(first!.at, Date.parse('2026-11-01T11:00:00Z'));
  const undone: Pour = { ...over, events: [...over.events, { kind: 'undone', undoes: 2, seq: 3, at: '2026-11-01T11:01:00Z' }] };
  assert.deepEqual(usagesOf([undone]), [], 'taken back, it is on the shelf again');
});

test('only the first pour of a piece takes its primer, and one that was given up is not the first', () => {
  const on = (id: string, day: string, ...said: Said[]): Pour => ({ ...told(...said), id, startedAt: `2026-11-${day}T10:00:00Z` });
  const gesso = (taken: Taken[]): number =>
    sum(taken.filter((t) => t.of.kind === 'supply' && t.of.supply === 'gesso').map((t) => t.amount));
  const [later, earlier] = usagesOf([
    on('later', '09', mixed, done),
    on('earlier', '08', mixed, done),
    on('given', '07', { kind: 'abandoned', why: 'rain' }),
  ]);
  assert.equal(gesso(later!.taken), 0);
  assert.ok(gesso(earlier!.taken) > 0);
});
