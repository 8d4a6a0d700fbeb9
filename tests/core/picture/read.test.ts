import assert from 'node:assert/strict';
import { test } from 'node:test';
import { pictureQuality, pictureRows, readPicture, sureOf, templateOf } from '#core/picture';
import { knownShots } from '#core/simulate';
import { near } from '../help';
import { metric, plan, us } from '../../factories';
import { taken } from './seen';

const [straight] = knownShots;

for (const shot of knownShots.filter((s) => !s.refused))
  test(`${shot.name}: white, cells, reach, bands and the turn of the shore come back within what is said of them`, () => {
    const { known, template, picture } = taken(shot);
    const read = readPicture(picture, shot.optics.corners, template);
    assert.ok(read.ok, read.ok ? '' : read.says);
    const { reading } = read;
    const sure = sureOf(reading);
    near(reading.white, known.white, sure.white);
    near(reading.open!, known.open, 0.03);
    near(reading.cells!.perCm2, known.perCm2, sure.perCm2);
    near(reading.cells!.low, known.low, sure.cell);
    near(reading.cells!.middle, known.middle, sure.cell);
    near(reading.cells!.high, known.high, sure.cell);
    near(reading.toSea!.middle, known.toSea.middle, sure.reach);
    near(reading.toSea!.most, known.toSea.most, sure.reach);
    near(reading.up!.middle, known.up.middle, sure.reach);
    near(reading.up!.most, known.up.most, sure.reach);
    near(reading.turned!, known.turned, sure.turned);
    assert.deepEqual(
      reading.bands.map((b) => b.part),
      [0, 1, 2, 3],
    );
    for (const { part, lightness } of reading.bands) near(lightness, known.lightness[part]!, sure.lightness);
    // what is said to be sure is worth saying: a quarter of the white, a third of the cells
    assert.ok(sure.white < 0.25 * known.white && sure.perCm2 < 0.34 * known.perCm2);
  });

test('a lamp in the film is refused as glare, and a picture out of focus as blurred, each with what would do', () => {
  for (const shot of knownShots.filter((s) => s.refused)) {
    const { template, picture } = taken(shot);
    const read = readPicture(picture, shot.optics.corners, template);
    assert.ok(!read.ok);
    assert.match(
      read.says,
      shot.refused === 'glare' ? /Glare covers \d+ %.*take it again/ : /softer than the walls between cells.*take it again/,
    );
  }
});

test('corners crossed, the wrong way round, too near or of another board are said to be so', () => {
  const { template, picture } = taken(straight!);
  const [a, b, c, d] = straight!.optics.corners as [
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
  ];
  const says = (marks: { x: number; y: number }[], of = template): string => {
    const read = readPicture(picture, marks, of);
    return read.ok ? 'read' : read.says;
  };
  assert.match(says([a, c, b, d]), /crossed/);
  assert.match(says([a, d, c, b]), /the wrong way round/);
  assert.match(says([b, c, d, a]), /lies on its side/);
  assert.match(says([a, b, c]), /four corners/);
  const half = (p: { x: number; y: number }) => ({ x: a.x + (p.x - a.x) / 9, y: a.y + (p.y - a.y) / 9 });
  assert.match(says([a, half(b), half(c), half(d)]), /only \d+ pixels/);
  assert.match(says([a, b, c, d], { ...template, width: 300, height: 100 }), /another board/);
});

test('the same picture darkened until white and blue run together is refused, and one lit from one side alone', () => {
  const dark = taken({ ...straight!, optics: { ...straight!.optics, light: [0.03, 0.03, 0.03] } });
  const read = readPicture(dark.picture, straight!.optics.corners, dark.template);
  assert.ok(!read.ok && /too dark/.test(read.says));
  const side = taken({ ...straight!, optics: { ...straight!.optics, light: [0.5, 0.5, 0.5], across: 0.72 } });
  const lit = readPicture(side.picture, straight!.optics.corners, side.template);
  assert.ok(!lit.ok && /times as much as the other/.test(lit.says), lit.ok ? 'read' : lit.says);
});

test('what is known of a board beforehand are its parts, its line and its white; a board without a wave has no foam to measure', () => {
  const of = plan();
  const wave = of.piece.coats.find((c) => c.kind === 'wave')!;
  const template = templateOf(of, wave as never);
  assert.equal(template.parts.length, 400 * 300);
  assert.equal(template.lines.length, 1);
  assert.ok(template.white > 0.6 && template.white <= 1);
  const beach = template.parts.findIndex((p) => p === 0);
  assert.ok(template.away[beach]! >= 0);
  const bare = templateOf(of, undefined);
  const { picture } = taken(straight!);
  const read = readPicture(picture, straight!.optics.corners, { ...bare, width: 200, height: 150 });
  assert.ok(!read.ok && /no wave/.test(read.says));
});

test('a round is marked at three places of its rim and turned until the first is at the top', async () => {
  const { placed } = await import('#core/picture');
  const board = { width: 200, height: 200, round: true };
  const at = (turn: number) => ({ x: 500 + 300 * Math.sin(turn), y: 400 - 300 * Math.cos(turn) });
  const found = placed([at(0.5), at(2.6), at(4.7)], board, { width: 1000, height: 800 });
  assert.ok(found.ok);
  near(found.pxPerMm, 3, 1e-9);
  near(found.to({ x: 100, y: 100 }).x, 500, 1e-6);
  near(found.to({ x: 100, y: 0 }).x, at(0.5).x, 1e-6);
  near(found.to({ x: 100, y: 0 }).y, at(0.5).y, 1e-6);
  const near3 = placed([at(0), at(0.1), at(0.2)], board, { width: 1000, height: 800 });
  assert.ok(!near3.ok && /too near each other/.test(near3.says));
});

test('a reading stands beside the plan in the studio’s own units, what it means first', () => {
  const { template, picture } = taken(straight!);
  const read = readPicture(picture, straight!.optics.corners, template);
  assert.ok(read.ok);
  const of = plan();
  const wave = of.piece.coats.find((c) => c.kind === 'wave');
  assert.ok(wave?.kind === 'wave');
  const reading = { ...read.reading, at: '2026-11-01T10:00:00Z' };
  const rows = (write: typeof metric) => new Map(pictureRows(reading, of, wave, 3, write).map((r) => [r.what, r]));
  assert.match(rows(metric).get('Foam out to sea')!.measured, /^2\d mm, 3\d mm at most$/);
  assert.match(rows(metric).get('Foam out to sea')!.means!, /further than planned|less far than planned|As planned/);
  assert.match(rows(us).get('Foam out to sea')!.measured, /in at most$/);
  assert.match(rows(us).get('Cells')!.measured, /a sq in/);
  assert.match(pictureQuality(reading, us), /pixels to an inch, sharp, no glare, evenly lit/);
  assert.match(rows(metric).get('The wave against its line')!.means!, /lies along its line/);
});
