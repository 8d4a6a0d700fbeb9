import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Stock } from '#core/document';
import { costOf, itemKey, ledger as ledgerIn, pricePer, toBuy, type Taken, type Usage } from '#core/stock';
import { empty, resin, utc, can } from '../../factories';
import { near, sum } from '../help';

const ledger = (stock: Parameters<typeof ledgerIn>[0], uses: Parameters<typeof ledgerIn>[1], materials: Parameters<typeof ledgerIn>[2]) =>
  ledgerIn(stock, uses, materials, utc);
const A: Stock['of'] = { kind: 'resin', resinId: resin.id, part: 'A' };
const at = (day: string): number => Date.parse(`${day}T12:00:00Z`);
const use = (day: string, amount: number, rest: Partial<Taken> = {}): Usage => ({
  pourId: day,
  piece: 'Panel',
  at: at(day),
  taken: [{ of: A, amount, unit: 'g', ...rest }],
});

test('the opened container is drawn from first, then the one that expires first', () => {
  const { lines, short } = ledger(
    [can('late', { expires: '2027-12-01' }), can('soon', { expires: '2027-01-01' }), can('open', { opened: '2026-09-10', size: 100 })],
    [use('2026-10-01', 250)],
    empty,
  );
  const left = Object.fromEntries(lines.map((l) => [l.stock.id, l.left]));
  assert.deepEqual(left, { late: 1000, soon: 850, open: 0 });
  assert.deepEqual(short, []);
});

test('a pour before the can was bought does not draw from it, and what nobody held is said', () => {
  const { lines, short } = ledger([can('new', { since: '2026-11-01' })], [use('2026-10-01', 250)], empty);
  assert.equal(lines[0]!.left, 1000);
  assert.deepEqual([short[0]!.amount, short[0]!.piece], [250, 'Panel']);
});

test('beyond its content a container is empty, never less, and the rest is short', () => {
  const { lines, short } = ledger([can('small', { size: 100 })], [use('2026-10-01', 250)], empty);
  near(lines[0]!.left, 0, 1e-9);
  near(short[0]!.amount, 150, 1e-9);
});

test('a bottle in ml gives grams by its density, the container’s own before the resin’s', () => {
  const bottle = ledger([can('bottle', { unit: 'ml', size: 500 })], [use('2026-10-01', 115)], empty).lines[0]!;
  near(bottle.left, 400, 1e-9);
  near(ledger([can('bottle', { unit: 'ml', size: 500, density: 1.25 })], [use('2026-10-01', 125)], empty).lines[0]!.left, 400, 1e-9);
});

test('a correction by hand stands beside what was taken', () => {
  const { lines } = ledger(
    [can('can', { corrections: [{ at: '2026-10-02T10:00:00Z', by: -100, why: 'spilled' }] })],
    [use('2026-10-01', 250)],
    empty,
  );
  near(lines[0]!.left, 650, 1e-9);
});

test('whatever is poured, what was held is what is left, taken and nothing else; what is missing is short', () => {
  const stocks = fc.array(
    fc.record({ size: fc.integer({ min: 1, max: 2000 }), unit: fc.constantFrom('g' as const, 'ml' as const), opened: fc.boolean() }),
    { maxLength: 5 },
  );
  const takes = fc.array(fc.double({ min: 0.1, max: 900, noNaN: true }), { maxLength: 8 });
  fc.assert(
    fc.property(stocks, takes, (list, amounts) => {
      const stock = list.map((s, i) => can(`can-${i}`, { size: s.size, unit: s.unit, ...(s.opened && { opened: '2026-09-02' }) }));
      const { lines, short } = ledger(
        stock,
        amounts.map((a, i) => use(`2026-10-0${i + 1}`, a)),
        empty,
      );
      const grams = (unit: string, v: number): number => (unit === 'ml' ? v * resin.densityA : v);
      for (const l of lines) near(l.left + sum(l.taken.map((t) => t.amount)), l.stock.size, 1e-6);
      near(sum(lines.map((l) => grams(l.stock.unit, l.stock.size - l.left))) + sum(short.map((s) => s.amount)), sum(amounts), 1e-6);
      assert.ok(lines.every((l) => l.left >= -1e-9));
    }),
  );
});

test('a gram costs what the container in use cost; without one it has no price, and that is said', () => {
  const shelf = ledger([can('open', { opened: '2026-09-10', price: 40 }), can('new', { price: 30 })], [], empty);
  near(pricePer(A, 'g', shelf, empty)!, 0.04, 1e-12);
  const cost = costOf(
    [
      { of: A, amount: 100, unit: 'g' },
      { of: { kind: 'supply', supply: 'sand' }, amount: 500, unit: 'g' },
    ],
    shelf,
    empty,
  );
  near(cost.amount, 4, 1e-12);
  assert.deepEqual(
    cost.unpriced.map((t) => itemKey(t.of)),
    ['supply/sand'],
  );
});

test('what to buy: the cheapest packs that cover what is missing, and not what is past its date', () => {
  const shelf = ledger([can('big', { size: 1000, price: 30 }), can('small', { size: 250, price: 9, expires: '2026-10-01' })], [], empty);
  const [buy] = toBuy(
    [
      { of: A, amount: 1700, unit: 'g' },
      { of: A, amount: 300, unit: 'g' },
    ],
    shelf,
    empty,
    '2026-11-25',
  );
  near(buy!.needed.amount, 2000, 1e-9);
  near(buy!.left, 1000, 1e-9);
  assert.deepEqual([buy!.missing, buy!.packs!.count, buy!.packs!.stock.id, buy!.packs!.price], [1000, 1, 'big', 30]);
  const little = toBuy([{ of: A, amount: 1200, unit: 'g' }], shelf, empty, '2026-11-25')[0]!;
  assert.deepEqual([little.packs!.stock.id, little.packs!.count], ['small', 1]);
  const unknown = toBuy([{ of: { kind: 'supply', supply: 'stones' }, amount: 3, unit: 'pieces' }], shelf, empty, '2026-11-25')[0]!;
  assert.deepEqual([unknown.missing, unknown.packs], [3, undefined]);
});
