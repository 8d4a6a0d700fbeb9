import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ratioError } from '#core/mix';
import { cupKey } from '#core/document';
import { insideOf, weighingOf, weightsOf } from '#core/pour';
import { means, piece, resin, toldOf } from '../../factories';
import { near } from '../help';

const told = toldOf(piece());
const batch = told.batches[0]!;
const on = { batch, cups: told.cups, resin };
const { aG, bG } = batch;
const at = (inside: [string, number][], kept: string[] = []) => weighingOf(on, means.colourants, new Map(inside), 0.1, new Set(kept));
const deep = told.cups.find((c) => c.name === 'Deep')!;
const blue = `tint ${cupKey(deep.id)} phthalo-blue`;
const fill = `fill ${cupKey(deep.id)}`;
const deepG = deep.aG + deep.bG;
const loadOf = (grams: number): number => grams / deepG;

test('A first, then B, then cup by cup with its colourants', () => {
  const { lines, current, error } = at([]);
  assert.deepEqual(
    lines.slice(0, 4).map((l) => l.key),
    ['A', 'B', `fill ${cupKey(told.cups[0]!.id)}`, `sand ${cupKey(told.cups[0]!.id)}`],
  );
  assert.equal(current!.key, 'A');
  assert.equal(error, undefined);
  near(current!.left, aG, 1e-9);
});

test('A 10 g over: B needs its share more, the batch grows, and then the ratio is exact', () => {
  const over = at([['A', aG + 10]]);
  assert.equal(over.current!.key, 'B');
  near(over.current!.target, bG * ((aG + 10) / aG), 1e-9);
  near(over.surplus, 10 * (1 + bG / aG), 1e-9);
  const put = at([
    ['A', aG + 10],
    ['B', over.current!.target],
  ]);
  near(put.error!, 0, 1e-5);
  assert.ok(!put.lines.slice(0, 2).some((l) => l.left > 0));
});

test('B over calls for more A, though A was in already; a slip of half a per cent does not', () => {
  const over = at([
    ['A', aG],
    ['B', bG * 1.1],
  ]);
  assert.equal(over.current!.key, 'A');
  near(over.current!.left, 0.1 * aG, 1e-9);
  near(ratioError(aG + over.current!.left, bG * 1.1, resin), 0, 1e-5);
  const slip = at([
    ['A', aG * 1.005],
    ['B', bG],
  ]);
  assert.equal(slip.surplus, 0);
  assert.notEqual(slip.current!.key, 'B');
});

test('drops a scale cannot show are counted, in their let-down where there is one', () => {
  const lines = at([]).lines;
  const line = lines.find((l) => l.key === blue)!;
  near(line.planned / line.drops!.each, deep.doses[0]!.count!, 1e-4);
  const white = lines.find((l) => l.key.endsWith('white-paste'))!;
  assert.equal(white.drops, undefined, 'paste is weighed');
});

test('two drops too many: the cup needs clear and turquoise until its tint is right, or it is left darker', () => {
  const dose = deep.doses[0]!;
  const drop = dose.grams / dose.count!;
  const inside: [string, number][] = [
    ['A', aG],
    ['B', bG],
    [fill, deepG],
    [blue, dose.grams + 2 * drop],
  ];
  const lines = at(inside).lines.filter((l) => l.cup === deep);
  const k = (dose.count! + 2) / dose.count!;
  near(lines[0]!.left, (k - 1) * deepG, 1e-6);
  const turquoise = lines.find((l) => l.key.endsWith('turquoise'))!;
  near(turquoise.target, k * deep.doses[1]!.grams, 1e-9);
  const right = at([...inside.filter(([key]) => key !== fill), [fill, k * deepG], [turquoise.key, turquoise.target]]).lines.filter(
    (l) => l.cup === deep,
  );
  assert.ok(right.every((l) => l.left === 0));
  near(right[1]!.inside! / right[0]!.inside!, loadOf(dose.grams), 1e-9);
  const left = at(inside, [blue]).lines.filter((l) => l.cup === deep);
  assert.equal(left[0]!.left, 0);
});

test('a lone cup is mixed in itself: no filling from a mixing cup, and too much white still calls for clear', () => {
  const base = {
    ...piece(),
    coats: [
      {
        id: 'glaze',
        kind: 'glaze' as const,
        resinId: resin.id,
        samePour: false,
        film: 1,
        tint: { name: 'Milk', recipe: [{ colourantId: 'white-paste', load: 0.03 }] },
      },
    ],
  };
  const lone = toldOf(base);
  const [mix, milk] = [lone.batches[0]!, lone.cups[0]!];
  const alone = { batch: mix, cups: lone.cups, resin };
  const key = `tint ${cupKey(milk.id)} white-paste`;
  const weighed = new Map([
    ['A', mix.aG],
    ['B', mix.bG],
  ]);
  assert.deepEqual(
    weighingOf(alone, means.colourants, weighed, 0.1).lines.map((l) => l.key),
    ['A', 'B', key],
  );
  const over = weighingOf(alone, means.colourants, new Map([...weighed, [key, milk.doses[0]!.grams * 1.5]]), 0.1);
  assert.equal(over.current!.kind, 'fill');
  near(over.current!.left, 0.5 * (mix.aG + mix.bG), 1e-6);
});

test('takes are added up under the lines they belong to, and those of another batch are not among them', () => {
  const at = '2026-11-01T10:00:00Z';
  const events = [
    { kind: 'weighed' as const, seq: 1, at, batch: 0, what: 'A' as const, grams: 60 },
    { kind: 'weighed' as const, seq: 2, at, batch: 0, what: 'A' as const, grams: 5 },
    { kind: 'weighed' as const, seq: 3, at, batch: 0, what: 'fill' as const, cup: deep.id, grams: 30 },
    { kind: 'weighed' as const, seq: 4, at, batch: 0, what: 'colourant' as const, cup: deep.id, colourantId: 'phthalo-blue', grams: 0.1 },
    { kind: 'weighed' as const, seq: 5, at, batch: 1, what: 'B' as const, grams: 99 },
  ];
  assert.deepEqual(
    [...insideOf(weightsOf(events, told, 0), told.cups)],
    [
      ['A', 65],
      [fill, 30],
      [blue, 0.1],
    ],
  );
  assert.deepEqual([...insideOf(weightsOf(events, told, 1), told.cups)], [['B', 99]]);
});
