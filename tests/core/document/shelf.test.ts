import assert from 'node:assert/strict';
import { test } from 'node:test';
import { colourantKinds, emptyStudio, ownLimit, pricingOf, startingPricing, startingVessels, vesselsOf } from '#core/craft';
import { movedTo } from '#core/edit';
import { openStudio, supplies, writeStudio, type Problem, type Stock, type Studio, type Vessel } from '#core/document';
import { holdable } from '#core/formats';
import { densityOf, itemKey, itemName, summed, turned } from '#core/stock';
import { sample } from '../../factories';
import { near } from '../help';

const broken = (change: (studio: Studio) => void): Problem => {
  const studio = structuredClone(sample());
  change(studio);
  const opened = openStudio(JSON.stringify(studio));
  assert.ok(!opened.ok, 'it opened');
  return opened.problems[0]!;
};
const stock = (change: (s: Stock) => void): Problem => broken((studio) => change(studio.stock![0]!));
const vessel = (change: (v: Vessel) => void): Problem => broken((studio) => change(studio.vessels!.at(-1)!));

test('a file from before the shelf opens with the cups everyone starts with, and an empty shelf', () => {
  const { vessels: _, stock: __, ...older } = emptyStudio();
  const opened = openStudio(JSON.stringify(older));
  assert.ok(opened.ok);
  assert.deepEqual(opened.studio.vessels, startingVessels);
  assert.deepEqual(opened.studio.stock, []);
  assert.equal(writeStudio(opened.studio), writeStudio(emptyStudio()));
  assert.deepEqual(vesselsOf({}), startingVessels);
});

test('what is wrong on the shelf is named by path, found and expected', () => {
  assert.match(stock((s) => (s.of = { kind: 'colourant', colourantId: 'none' })).expected, /the id of one of the colourants/);
  assert.match(stock((s) => (s.of = { kind: 'resin', resinId: 'none', part: 'A' })).expected, /the id of one of the resins/);
  assert.match(stock((s) => (s.unit = 'm')).expected, /"g" or "ml" for what goes into a cup/);
  assert.match(stock((s) => (s.density = 0.4)).expected, /a number from 0.5/);
  assert.match(stock((s) => (s.density = 3.1)).expected, /a number up to 3/);
  assert.match(stock((s) => (s.size = 0)).expected, /a number from/);
  assert.match(stock((s) => (s.price = -1)).expected, /a number from 0/);
  assert.match(stock((s) => (s.since = '25.11.2026')).expected, /a date as 2026-11-25/);
  assert.match(stock((s) => ((s.of as { kind: string }).kind = 'gold')).expected, /a “kind” this version knows/);
  assert.match(broken((s) => (s.stock![1]!.id = s.stock![0]!.id)).expected, /an id used once/);
  assert.match(
    vessel(
      (v) =>
        (v.marks = [
          { ml: 50, mm: 20 },
          { ml: 40, mm: 30 },
        ]),
    ).expected,
    /a mark above the one before it/,
  );
  assert.match(vessel((v) => (v.marks = [{ ml: 5000, mm: 20 }])).expected, /up to what it holds/);
  assert.match(vessel((v) => (v.holds = 0)).expected, /a number from 1/);
});

test('limits and ratios of a data sheet that cannot be are refused in a file too', () => {
  const resin = (change: (r: Studio['resins'][0]) => void): Problem => broken((s) => change(s.resins[0]!));
  assert.match(resin((r) => (r.ratio.a = 0)).expected, /a number from/);
  assert.match(resin((r) => (r.loadLimit = 0)).expected, /a number from/);
  assert.match(resin((r) => (r.densityA = 3.2)).expected, /a number up to 3/);
  assert.match(broken((s) => (s.colourants[0]!.limit = 0)).expected, /a number from/);
});

test('moved to another day, a container keeps its age', () => {
  const recorded = Date.parse('2026-11-25T13:36:00Z');
  const before = sample();
  const after = movedTo(before, recorded, recorded + 10 * 86_400_000);
  const [a, b] = [before, after].map((s) => s.stock!.find((x) => x.id === 'gloves-1')!) as [Stock, Stock];
  assert.deepEqual([a.since, b.since], ['2026-08-20', '2026-08-30']);
  assert.equal(Date.parse(b.corrections![0]!.at) - Date.parse(a.corrections![0]!.at), 10 * 86_400_000);
  const expires = (s: Studio): string => s.stock!.find((x) => x.id === 'quick-a-1')!.expires!;
  assert.deepEqual([expires(before), expires(after)], ['2026-12-05', '2026-12-15']);
});

test('everything a container can hold has a name of its own', () => {
  const studio = sample();
  const all = holdable(studio);
  assert.equal(all.length, 2 * studio.resins.length + studio.colourants.length + supplies.length);
  assert.equal(new Set(all.map(itemKey)).size, all.length);
  assert.equal(new Set(all.map((of) => itemName(of, studio).toLowerCase())).size, all.length);
});

test('an amount turns into another unit by density, and metres never into grams', () => {
  near(turned(100, 'ml', 'g', 1.15)!, 115, 1e-9);
  near(turned(115, 'g', 'ml', 1.15)!, 100, 1e-9);
  assert.equal(turned(1, 'm', 'g', 1), undefined);
  assert.equal(turned(3, 'pieces', 'pieces', 1), 3);
  const studio = sample();
  assert.equal(densityOf({ of: { kind: 'resin', resinId: 'slow-coating', part: 'B' } }, studio), 0.98);
  assert.equal(densityOf({ of: { kind: 'colourant', colourantId: 'white-paste' } }, studio), 1.7);
  assert.equal(densityOf({ of: { kind: 'supply', supply: 'gesso' }, density: 1.4 }, studio), 1.4);
});

test('amounts of one thing are made one, nothing of it is left out', () => {
  const of = { kind: 'supply' as const, supply: 'sand' as const };
  assert.deepEqual(
    summed([
      { of, amount: 3, unit: 'g' },
      { of, amount: 4, unit: 'g' },
      { of, amount: 0, unit: 'g' },
      { of, amount: 5, unit: 'pieces' },
    ]),
    [
      { of, amount: 7, unit: 'g' },
      { of, amount: 5, unit: 'pieces' },
    ],
  );
});

test('each kind of colourant says its form and base, and only what drips has a drop', () => {
  for (const [kind, facts] of Object.entries(colourantKinds)) {
    assert.equal(facts.dropMl !== undefined, facts.form === 'liquid', kind);
    assert.ok(facts.density >= 0.5 && facts.caution.length > 10, kind);
  }
  assert.equal(ownLimit({ limit: 0.02 }, 0.06), 0.02);
  assert.equal(ownLimit({ limit: 0.1 }, 0.06), 0.06);
  assert.equal(ownLimit({}, 0.06), 0.06);
});

test('a studio without a price list of its own starts from ordinary figures', () => {
  assert.deepEqual(pricingOf({}), startingPricing);
  assert.equal(pricingOf(sample().settings).hourRate, 25);
});
