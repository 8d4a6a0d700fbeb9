import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import type { Point } from '#core/document';
import { photograph, type Shot } from '#core/simulate';
import { layerOver, measureChannel, measurePigment, pickAt, readCard, seenOf, type Picture, type Rgb } from '#core/tint';
import { near } from '../help';

test('K and S of a smear from its two reflectances', () => {
  const { K, S } = measureChannel(0.6543, 0.26557, 0.85, 0.04, 0.5)!;
  near(K, 0.3, 0.0005);
  near(S, 0.8, 0.0005);
});

test('measured K and S recover themselves', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 3, noNaN: true }),
      fc.double({ min: 0.3, max: 4, noNaN: true }),
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
      (K, S, X) => {
        const [Rw, Rb] = [layerOver(K, S, X, 0.85), layerOver(K, S, X, 0.04)];
        // where hardly anything of the grounds shows, their difference is lost in rounding
        if (Rw - Rb < 0.01 || Rb < 1.2 * 0.04) return;
        const found = measureChannel(Rw, Rb, 0.85, 0.04, X)!;
        near(found.K, K, 1e-5 * (1 + K));
        near(found.S, S, 1e-5 * (1 + S));
      },
    ),
  );
});

test('what does not scatter is measured over white alone', () => {
  const R = layerOver(0.7, 0, 0.5, 0.85);
  const found = measureChannel(R, layerOver(0.7, 0, 0.5, 0.04), 0.85, 0.04, 0.5)!;
  near(found.K, 0.7, 1e-9);
  assert.equal(found.S, 0);
});

const grey = (R: number): Rgb => [R, R, R];
const glossy = (K: number, S: number, X: number) => ({
  overWhite: grey(seenOf(layerOver(K, S, X, 0.85))),
  overBlack: grey(seenOf(layerOver(K, S, X, 0.04))),
});

test('a pigment comes out by its load, and gives the smear back', () => {
  const reading = measurePigment({ white: grey(0.85), black: grey(0.04), ...glossy(0.6, 1.2, 0.5) }, 0.5, 0.03);
  assert.ok(reading.ok);
  near(reading.measured.absorb[1], 20, 1e-3);
  near(reading.measured.scatter[1], 40, 1e-3);
  near(reading.measured.residual.overWhite, 0, 1e-6);
});

test('a smear that hides its grounds is refused, and so is a card without contrast', () => {
  const hiding = measurePigment({ white: grey(0.85), black: grey(0.04), overWhite: grey(0.3), overBlack: grey(0.31) }, 0.5, 0.03);
  assert.ok(!hiding.ok && /hides both grounds/.test(hiding.says));
  const flat = measurePigment({ white: grey(0.5), black: grey(0.4), ...glossy(0.6, 1.2, 0.5) }, 0.5, 0.03);
  assert.ok(!flat.ok && /less than twice/.test(flat.says));
});

type Sample = Shot & { file: string; name: string };
const shots = JSON.parse(readFileSync(new URL('../../../src/demo/smears.json', import.meta.url), 'utf8')) as Sample[];
function shipped({ file }: Sample): Picture {
  const png = PNG.sync.read(readFileSync(new URL(`../../../static${file}`, import.meta.url)));
  return { width: png.width, height: png.height, data: new Uint8ClampedArray(png.data) };
}

for (const shot of shots)
  test(`the shipped picture of ${shot.name} gives its k and s back`, () => {
    const card = readCard(shipped(shot), shot.corners);
    assert.ok(card.ok, card.ok ? '' : card.says);
    assert.ok(card.residual < 0.01 && card.unevenness > 1.3, 'its light falls off, and is taken out');
    const reading = measurePigment(card.patches, shot.film, shot.load);
    assert.ok(reading.ok);
    const { absorb, scatter, residual } = reading.measured;
    for (const c of [0, 1, 2] as const) {
      near(absorb[c] / shot.absorb[c], 1, 0.03);
      // a dye that scatters less than a black ground shows is taken as clear
      if (shot.scatter[c] * shot.load > 0.5) near(scatter[c] / shot.scatter[c], 1, 0.04);
      else assert.equal(scatter[c], 0);
    }
    assert.ok(residual.overWhite < 0.5 && residual.overBlack < 3);
  });

const small = { ...shots[1]!, width: 300, height: 216, corners: shots[1]!.corners.map((p) => ({ x: p.x / 2.4, y: p.y / 2.4 })), blur: 0 };
const refused = (change: Partial<Shot>, corners: Point[] = small.corners): string => {
  const reading = readCard(photograph({ ...small, ...change }), corners);
  assert.ok(!reading.ok);
  return reading.says;
};

test('a picture that cannot be trusted is refused with its reason', () => {
  assert.match(refused({ light: [1.4, 1.3, 1.2] }), /burnt out/);
  assert.match(refused({ light: [0.004, 0.004, 0.004], noise: 0.5 }), /too dark/);
  assert.match(refused({ across: 0.5, light: [0.5, 0.5, 0.5] }), /uneven/);
  assert.match(
    refused(
      {},
      small.corners.map((p) => ({ x: p.x + 400, y: p.y })),
    ),
    /outside the picture/,
  );
  const turned = [...small.corners.slice(2), ...small.corners.slice(0, 2)];
  assert.match(refused({}, turned), /greys/);
});

test('the same shot gives the same picture, and a pick is the mean within its radius', () => {
  assert.deepEqual(photograph(small).data.subarray(0, 400), photograph(small).data.subarray(0, 400));
  const picture = { width: 2, height: 1, data: new Uint8ClampedArray([255, 255, 255, 255, 0, 0, 0, 255]) };
  assert.deepEqual(pickAt(picture, { x: 0.5, y: 0 }, 1), [0.5, 0.5, 0.5]);
  assert.deepEqual(pickAt(picture, { x: 0, y: 0 }, 0), [1, 1, 1]);
  assert.equal(pickAt(picture, { x: 9, y: 9 }, 2), undefined);
});
