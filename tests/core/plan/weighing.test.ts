import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ratioError } from '#core/mix';
import { weighingOf } from '#core/plan';
import { means, near, piece, plan, resin } from '../help';

const batch = plan().pours[0]!.batches[0]!;
const { aG, bG } = batch.parts;
const at = (inside: [string, number][], kept: string[] = []) => weighingOf(batch, means.colourants, new Map(inside), 0.1, new Set(kept));
const deep = batch.cups.find((c) => c.name === 'Deep')!;
const blue = `tint ${deep.key} phthalo-blue`;
const fill = `fill ${deep.key}`;
const deepG = deep.parts.aG + deep.parts.bG;

test('A first, then B, then cup by cup with its colourants', () => {
  const { lines, current, error } = at([]);
  assert.deepEqual(
    lines.slice(0, 4).map((l) => l.key),
    ['A', 'B', `fill ${batch.cups[0]!.key}`, `sand ${batch.cups[0]!.key}`],
  );
  assert.equal(current!.key, 'A');
  assert.equal(error, undefined);
  near(current!.left, aG, 1e-9);
});

test('A 10 g over: B wants its share more, the batch grows, and then the ratio is exact', () => {
  const over = at([['A', aG + 10]]);
  assert.equal(over.current!.key, 'B');
  near(over.current!.wanted, bG * ((aG + 10) / aG), 1e-9);
  near(over.surplus, 10 * (1 + bG / aG), 1e-9);
  const put = at([
    ['A', aG + 10],
    ['B', over.current!.wanted],
  ]);
  near(put.error!, 0, 1e-9);
  assert.ok(!put.lines.slice(0, 2).some((l) => l.left > 0));
});

test('B over calls for more A, though A was in already; a slip of half a per cent does not', () => {
  const over = at([
    ['A', aG],
    ['B', bG * 1.1],
  ]);
  assert.equal(over.current!.key, 'A');
  near(over.current!.left, 0.1 * aG, 1e-9);
  near(ratioError(aG + over.current!.left, bG * 1.1, resin), 0, 1e-9);
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
  near(line.planned / line.drops!.each, deep.doses[0]!.count!, 1e-9);
  const white = lines.find((l) => l.key.endsWith('white-paste'))!;
  assert.equal(white.drops, undefined, 'paste is weighed');
});

test('two drops too many: the cup wants clear and turquoise until its tint is right, or it is left darker', () => {
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
  near(turquoise.wanted, k * deep.doses[1]!.grams, 1e-9);
  const right = at([...inside.filter(([key]) => key !== fill), [fill, k * deepG], [turquoise.key, turquoise.wanted]]).lines.filter(
    (l) => l.cup === deep,
  );
  assert.ok(right.every((l) => l.left === 0));
  near(right[1]!.inside! / right[0]!.inside!, dose.load, 1e-9);
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
  const lone = plan(base).pours[0]!.batches[0]!;
  const key = `tint ${lone.cups[0]!.key} white-paste`;
  const weighed = new Map([
    ['A', lone.parts.aG],
    ['B', lone.parts.bG],
  ]);
  assert.deepEqual(
    weighingOf(lone, means.colourants, weighed, 0.1).lines.map((l) => l.key),
    ['A', 'B', key],
  );
  const over = weighingOf(lone, means.colourants, new Map([...weighed, [key, lone.cups[0]!.doses[0]!.grams * 1.5]]), 0.1);
  assert.equal(over.current!.kind, 'fill');
  near(over.current!.left, 0.5 * lone.grams, 1e-6);
});
