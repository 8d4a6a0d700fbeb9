import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Point } from '#core/document';
import { seeded } from '#core/geometry';
import { shoot } from '#core/simulate';
import { near } from '../help';
import { cellsOf } from '../../../src/core/picture/cells';
import { focusOf } from '../../../src/core/picture/focus';
import { lightOf } from '../../../src/core/picture/light';
import { levelsOf, litOf } from '../../../src/core/picture/lit';
import { aspectOf, placed } from '../../../src/core/picture/marks';
import { reachedOf } from '../../../src/core/picture/reach';
import { finenessOf, straighten } from '../../../src/core/picture/straighten';
import type { Template } from '../../../src/core/picture/template';

/** Places of a grid that a test says are dark. */
function drawn(columns: number, rows: number, dark: (x: number, y: number) => boolean): { dark: Uint8Array; open: Uint8Array } {
  const out = new Uint8Array(columns * rows);
  for (let k = 0; k < out.length; k++) if (dark((k % columns) + 0.5, Math.floor(k / columns) + 0.5)) out[k] = 1;
  return { dark: out, open: new Uint8Array(columns * rows) };
}
const disc = (cx: number, cy: number, r: number) => (x: number, y: number) => Math.hypot(x - cx, y - cy) < r;

test('cells are counted and sized: three discs of known size in white, ten places a millimetre', () => {
  const discs = [disc(50, 50, 20), disc(120, 60, 30), disc(180, 120, 12)];
  const { dark, open } = drawn(240, 180, (x, y) => discs.some((d) => d(x, y)));
  const cells = cellsOf(dark, open, 240, 180, 10);
  assert.equal(cells.count, 3);
  near(cells.diameters[0]!, 2.4, 0.06);
  near(cells.diameters[1]!, 4, 0.06);
  near(cells.diameters[2]!, 6, 0.06);
  near(cells.area, Math.PI * (4 + 9 + 1.44), 0.3);
});

test('two cells whose wall has a gap in the picture are two; one that is pinched a little is one', () => {
  const gap = drawn(200, 100, (x, y) => disc(60, 50, 28)(x, y) || disc(122, 50, 28)(x, y) || (x > 60 && x < 122 && Math.abs(y - 50) < 4));
  assert.equal(cellsOf(gap.dark, gap.open, 200, 100, 10).count, 2);
  const pinched = drawn(200, 100, (x, y) => disc(70, 50, 28)(x, y) || disc(95, 50, 28)(x, y));
  assert.equal(cellsOf(pinched.dark, pinched.open, 200, 100, 10).count, 1);
});

test('what hangs together with the open sea, or with the rim, is no cell', () => {
  const bay = drawn(200, 100, (x, y) => disc(60, 50, 20)(x, y) || y < 20 || (Math.abs(x - 60) < 5 && y < 40) || disc(150, 60, 15)(x, y));
  assert.equal(cellsOf(bay.dark, bay.open, 200, 100, 10).count, 1);
  const sea = drawn(200, 100, disc(60, 50, 20));
  sea.open[50 * 200 + 60] = 1;
  assert.equal(cellsOf(sea.dark, sea.open, 200, 100, 10).count, 0);
  const none = drawn(50, 50, () => false);
  assert.deepEqual(cellsOf(none.dark, none.open, 50, 50, 5), { count: 0, diameters: [], area: 0 });
});

test('foam along a line is measured on both sides of it, and a turn against it in degrees', () => {
  const [columns, rows, perMm] = [400, 300, 2];
  const path = Array.from({ length: 51 }, (_, i) => ({ x: 4 * i, y: 100 }));
  const white = (sea: number, up: number, turn = 0): Uint8Array => {
    const out = new Uint8Array(columns * rows);
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < columns; i++) {
        const off = 100 - (j + 0.5) / perMm - Math.tan((turn * Math.PI) / 180) * ((i + 0.5) / perMm - 100);
        if (off < sea && off > -up) out[j * columns + i] = 1;
      }
    return out;
  };
  const lines = [{ path, sea: 1 as const }];
  const straight = reachedOf(white(20, 6), { columns, rows, perMm }, lines)!;
  near(straight.toSea.middle, 20, 0.6);
  near(straight.up.most, 6, 0.6);
  near(straight.turned, 0, 0.1);
  const other = reachedOf(white(20, 6), { columns, rows, perMm }, [{ path, sea: -1 }])!;
  near(other.toSea.middle, 6, 0.6);
  near(reachedOf(white(20, 6, 4), { columns, rows, perMm }, lines)!.turned, 4, 0.3);
  assert.equal(reachedOf(new Uint8Array(columns * rows), { columns, rows, perMm }, lines), undefined);
});

/** Corners of a rectangle seen by a camera of a focal length, tilted and turned, px. */
function seenBy(width: number, height: number, tilt: number, turn: number, focal: number): Point[] {
  const [ct, st, cr, sr] = [Math.cos(tilt), Math.sin(tilt), Math.cos(turn), Math.sin(turn)];
  return [
    [-width / 2, -height / 2],
    [width / 2, -height / 2],
    [width / 2, height / 2],
    [-width / 2, height / 2],
  ].map(([x, y]) => {
    const [u, v] = [cr * x! - sr * y!, sr * x! + cr * y!];
    const z = 900 + st * v;
    return { x: 2000 + (focal * u) / z, y: 1500 + (focal * ct * v) / z };
  });
}

test('the shape of a board is told from its corners however it is looked at', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.4, max: 3, noNaN: true }),
      fc.double({ min: -0.6, max: 0.6, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      (aspect, tilt, turn) => {
        const corners = seenBy(300 * aspect, 300, tilt, turn, 3200);
        near(Math.log(aspectOf(corners, { x: 2000, y: 1500 }) / aspect), 0, 0.13);
      },
    ),
    { numRuns: 200, seed: 7 },
  );
});

test('corners lie where they were marked, and a straight line of the board stays one in the picture', () => {
  const corners = seenBy(400, 300, 0.4, 0.1, 3000);
  const found = placed(corners, { width: 400, height: 300, round: false }, { width: 4000, height: 3000 });
  assert.ok(found.ok);
  [
    { x: 0, y: 0 },
    { x: 400, y: 0 },
    { x: 400, y: 300 },
    { x: 0, y: 300 },
  ].forEach((at, i) => {
    near(found.to(at).x, corners[i]!.x, 1e-6);
    near(found.to(at).y, corners[i]!.y, 1e-6);
  });
  const [a, b, c] = [0, 170, 400].map((x) => found.to({ x, y: 120 })) as [Point, Point, Point];
  near(((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) / Math.hypot(c.x - a.x, c.y - a.y), 0, 1e-6);
});

/** A board of two bands seen by a made-up camera, and what is known of it. */
function banded(change: { across?: number; down?: number; blur?: number; noise?: number } = {}) {
  const [width, height] = [120, 90];
  const corners = [
    { x: 40, y: 30 },
    { x: 640, y: 30 },
    { x: 640, y: 480 },
    { x: 40, y: 480 },
  ];
  const flat = {
    width,
    height,
    corners: [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  };
  const optics = {
    width: 680,
    height: 510,
    corners,
    light: [0.7, 0.7, 0.7] as [number, number, number],
    across: 0,
    down: 0,
    noise: 0,
    blur: 0,
    seed: 2,
    ...change,
  };
  const picture = shoot(optics, flat, ({ y }) => (y < 40 ? [0.1, 0.2, 0.3] : y < 52 ? [0.85, 0.85, 0.85] : [0.4, 0.35, 0.25]), 2);
  const template: Template = {
    width,
    height,
    round: false,
    columns: width,
    rows: height,
    parts: Int8Array.from({ length: width * height }, (_, k) => (Math.floor(k / width) < 52 ? 1 : 0)),
    away: Float32Array.from({ length: width * height }, (_, k) => Math.abs(Math.floor(k / width) - 46)),
    lines: [{ path: Array.from({ length: 31 }, (_, i) => ({ x: 4 * i, y: 46 })), sea: 1 }],
    white: 0.8,
  };
  const place = placed(corners, template, picture);
  assert.ok(place.ok);
  return { template, straight: straighten(picture, place.to, template, place.pxPerMm) };
}

test('a board is looked at no finer than it is seen, and no finer than walls need', () => {
  assert.equal(finenessOf(200, 150, 3), 3);
  assert.equal(finenessOf(200, 150, 30), 6);
  assert.ok(finenessOf(1500, 900, 30) < 2);
});

test('a straightened board has each place where the chart has it', () => {
  const { straight } = banded();
  const at = (x: number, y: number): number[] => {
    const k = 3 * (Math.floor(y * straight.perMm) * straight.columns + Math.floor(x * straight.perMm));
    return [...straight.rgb.subarray(k, k + 3)];
  };
  near(at(60, 20)[2]!, 0.21, 0.01);
  near(at(60, 46)[0]!, 0.595, 0.01);
  near(at(60, 70)[0]!, 0.28, 0.01);
});

test('how a board is lit is found from its own tints, along and across', () => {
  for (const [across, down] of [
    [0, 0],
    [0.25, 0],
    [0, -0.2],
    [-0.2, 0.15],
  ] as const) {
    const { straight, template } = banded({ across, down });
    const light = lightOf(straight, template);
    near(light.across, Math.atanh(across), 0.05);
    near(light.range, Math.exp(2 * (Math.abs(Math.atanh(across)) + Math.abs(Math.atanh(down)))), 0.25);
    assert.equal(light.glare, 0);
  }
});

test('white and tints are told apart in even light', () => {
  const { straight, template } = banded({ across: 0.2 });
  const levels = levelsOf(litOf(straight, template, lightOf(straight, template)));
  near(levels.white!, 0.595, 0.05);
  near(levels.tints[0]!, 0.7 * (0.2126 * 0.4 + 0.7152 * 0.35 + 0.0722 * 0.25), 0.02);
  near(levels.tints[1]!, 0.7 * (0.2126 * 0.1 + 0.7152 * 0.2 + 0.0722 * 0.3), 0.02);
});

test('a picture that was blurred more is found to be softer, and a grainy one grainier', () => {
  const focus = (change: Parameters<typeof banded>[0]) => {
    const { straight } = banded(change);
    const j = Math.round(46 * straight.perMm);
    return focusOf(
      straight,
      [150, 250, 350, 450].map((i) => ({ i, j })),
    );
  };
  const blurs = [0, 1, 2, 4].map((blur) => focus({ blur }).blur);
  assert.ok(
    blurs.every((b, i) => i === 0 || b > blurs[i - 1]!),
    blurs.join(' '),
  );
  // the mean over 9 pixels has a deviation of 2.58 of them, and its flat middle is taken for a softer bell
  assert.ok(blurs[3]! > 2 && blurs[3]! < 5.5);
  assert.ok(focus({ noise: 8 }).noise > 3 * focus({ noise: 1 }).noise);
});

test('the straightening is the same for the same picture, and light beyond the picture is none', () => {
  const chance = seeded(4);
  const picture = { width: 40, height: 30, data: Uint8ClampedArray.from({ length: 4800 }, () => 255 * chance()) };
  const to = ({ x, y }: Point): Point => ({ x: x * 2 - 4, y: y * 2 });
  const [a, b] = [straighten(picture, to, { width: 20, height: 15 }, 2), straighten(picture, to, { width: 20, height: 15 }, 2)];
  assert.deepEqual(a.rgb, b.rgb);
  assert.ok(Number.isNaN(a.rgb[0]!) && !Number.isNaN(a.rgb[3 * 20]!));
});
