import assert from 'node:assert/strict';
import { test } from 'node:test';
import { partsFromDeep } from '#core/coat';
import { openStudio, writeStudio, type Piece } from '#core/document';
import { mirrored, withArea, withBaseTint, withLying, withoutBaseTint, withoutLine, withSide, withStartingSea, withTint } from '#core/edit';
import { partsOf } from '#core/geometry';
import { lightnessOf } from '#core/tint';
import { coat, empty, piece, plan, sample, the } from '../../factories';
import { amiss, followed, written } from '../../followed';
import { near, sum } from '../help';

const skied = (p = piece()): Piece => withArea(withArea(p, 'sky', empty), 'land', empty);
const areasOf = (p: Piece): number[] => plan(p).cut.areas.map((a) => a.area);

test('sky and land are cut out of the sea and the beach, and all parts add up to the board', () => {
  const p = plan(skied());
  near(sum(partsOf(p.cut).map((r) => r.area)), 120_000, 1);
  near(p.cut.areas[0]!.area, 0.22 * 120_000, 5);
  assert.ok(p.cut.areas[1]!.area > 3000);
  near(sum(partsOf(p.cut).map((r) => r.rim)), p.rim, 0.5);
});

test('each has a coat of its own tint in the sea’s pour, which the sea is kept off; tops and bases go over them', () => {
  const p = plan(skied());
  const named = (name: string) => p.coats.find((c) => c.name === name)!;
  near(named('Sky').cups[0]!.area, p.cut.areas[0]!.area, 1e-6);
  assert.equal(named('Sky').film, 2);
  const sea = p.coats.find((c) => c.coat.kind === 'sea')!;
  assert.ok(sea.regions.areas.every((r) => r.area === 0));
  assert.equal(p.pours.length, plan(piece()).pours.length, 'no pour more than without');
  near(p.coats.at(-1)!.area, 120_000, 1);
  const colour = p.colours.patches.find((x) => x.part === 6)!.colour!;
  assert.ok(lightnessOf(colour) > 0.7, `the sky is pale: ${colour}`);
  // on a shelf of other names it is still a blue sky over land that is darker
  const { colourants, resins } = sample();
  const other = { ...empty, colourants, resins: [...empty.resins, ...resins] };
  const land = withArea(withArea({ ...piece(), coats: [] }, 'sky', other), 'land', other);
  assert.equal(land.coats.length, 0, 'without a resin to go with there is no coat');
  const own = plan(withArea(withArea(piece(), 'sky', other), 'land', other), { colourants });
  const of = (part: number): string => own.colours.patches.find((x) => x.part === part)!.colour!;
  assert.ok(lightnessOf(of(7)) < lightnessOf(of(6)) - 0.1, `${of(7)} ${of(6)}`);
});

test('a sky is followed to the end: for several boards, in every way of writing', () => {
  for (const count of [1, 4])
    for (const way of Object.keys(written) as (keyof typeof written)[]) {
      const f = followed({ ...skied(), count }, way);
      assert.deepEqual(amiss(f), [], `${count} ${way}`);
      assert.deepEqual(
        f.findings.filter((x) => x.severity !== 'note').map((x) => x.says),
        [],
        `${count} ${way}`,
      );
      assert.ok(f.says.some((w) => w.says === 'Lay Sky over the sky.'));
      assert.ok(f.says.some((w) => w.says === 'Lay Land over the land.'));
    }
});

test('turning, mirroring and another sea keep sky and land what they are; taking one off takes its coat', () => {
  const p = skied();
  const own = areasOf(p);
  for (const other of [mirrored(p), withSide(withSide(p, 'left'), 'far'), withStartingSea(p, 'island', empty)])
    areasOf(other).forEach((area, i) => near(area, own[i]!, own[i]! * 0.01));
  areasOf(withSide(p, 'near')).forEach((area, i) => near(area, own[i]!, own[i]! * 0.01));
  const bare = withoutLine(withoutLine(p, 'area:sky-1'), 'area:land-1');
  assert.deepEqual(
    bare.coats.map((c) => [c.id, c.samePour]),
    piece().coats.map((c) => [c.id, c.samePour]),
  );
});

test('a coat over an area that is not there is refused in a file', () => {
  const p = skied();
  const lost = { ...p, sea: { ...p.sea, areas: [p.sea.areas![0]!] } };
  const opened = openStudio(writeStudio({ ...empty, pieces: [lost] }));
  assert.ok(!opened.ok && /one of the areas/.test(opened.problems[0]!.expected));
});

/** A panel with a base of so many tints under its sea. */
const based = (tints: number, change = {}): Piece => {
  const base = coat('base', change);
  const p = { ...piece(), coats: [base, ...piece().coats] };
  return Array.from({ length: tints - 1 }).reduce<Piece>((q) => withBaseTint(q, base.id), p);
};

test('a base of several tints: one for each part from the deep to the beach, or each over its share of them', () => {
  for (const tints of [2, 3, 6]) {
    const p = plan(based(tints));
    const { cups, regions } = p.coats[0]!;
    assert.equal(cups.length, tints);
    near(sum(cups.map((c) => c.area)), 120_000, 1);
    assert.deepEqual(
      cups.map((c) => c.id.tint),
      [...Array(tints).keys()],
    );
    assert.equal(partsFromDeep(regions, p.piece.sea).length, 6);
  }
  // more tints than parts: those without one are not mixed
  assert.equal(plan(based(3, { over: { kind: 'beach' } })).coats[0]!.cups.length, 1);
});

test('a base of several tints is seen part by part, laid one into the next, and said so to the end', () => {
  const dark = withTint({ ...based(2), coats: based(2).coats.slice(0, 1) }, 'base-x', 0, (t) => ({
    ...t,
    recipe: [{ colourantId: 'black', load: 0.02 }],
  }));
  const seen = (part: number): number => lightnessOf(plan(dark).colours.patches.find((x) => x.part === part)!.colour!);
  assert.ok(seen(5) < 0.3 && seen(0) > 0.8, `${seen(5)} ${seen(0)}`);
  for (const way of Object.keys(written) as (keyof typeof written)[]) assert.deepEqual(amiss(followed({ ...based(3), count: 2 }, way)), []);
  const says = followed(based(2)).says.map((w) => w.says);
  assert.ok(says.includes('Lay Base over the deep side.'));
  assert.ok(says.includes('Lay Base 2 next, and draw it into Base.'));
  assert.equal(
    withoutBaseTint(based(2), 'base-x', 1).coats[0]!.kind === 'base' && plan(withoutBaseTint(based(2), 'base-x', 1)).coats[0]!.cups.length,
    1,
  );
});

test('a sky is drawn at the deep side of any board, and over a sea that lies it begins a pour of its own', () => {
  for (const side of ['far', 'near', 'left', 'right'] as const) {
    const p = withArea(withSide(piece(), side), 'sky', empty);
    near(plan(p).cut.areas[0]!.area, 0.22 * 120_000, 5);
    const deep = withArea(piece(), 'sky', empty);
    const turned = plan(withSide(deep, side)).cut.areas[0]!;
    assert.equal(Math.round(turned.area), Math.round(plan(p).cut.areas[0]!.area), side);
    const middle = plan(p)
      .cut.areas[0]!.rings.flat()
      .reduce((sum, q) => sum + (side === 'left' || side === 'right' ? q.x : q.y), 0);
    const same = turned.rings.flat().reduce((sum, q) => sum + (side === 'left' || side === 'right' ? q.x : q.y), 0);
    near(middle / plan(p).cut.areas[0]!.rings.flat().length, same / turned.rings.flat().length, 1);
  }
  const begun = withArea(withLying(piece(), the(piece(), 'wave').id, {}), 'sky', empty);
  const sky = begun.coats.findIndex((c) => c.name === 'Sky');
  assert.deepEqual([sky, begun.coats[sky]!.samePour, Boolean(begun.coats[sky]!.lies)], [3, false, false]);
  assert.deepEqual(
    followed(begun).findings.filter((x) => x.severity === 'stop'),
    [],
  );
});
