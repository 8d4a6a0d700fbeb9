import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { chance, noise } from '../../../src/core/foam/chance';
import { conduct, warmUp } from '../../../src/core/foam/heat';
import { physical, tuned, type Foam } from '../../../src/core/foam/index';
import { colourOf, throughAir, whiteOver } from '../../../src/core/foam/picture/colour';
import { carry, flow, speed } from '../../../src/core/foam/transport';
import { near } from '../help';
import { bare, heldStill, panel } from './panel';

const all = (f: Foam) => ({ i0: 0, j0: 0, i1: f.fx, j1: f.fy });

test('the same counters give the same luck', () => {
  near(chance(1, 0, 0), 0.99638396, 5e-9);
  near(chance(7, 12345, 2), 0.69544429, 5e-9);
  near(noise(5, 3.2, 4.7, 2), 0.058368, 5e-7);
});

test('flow of the topmost white: thin runs, thick lags and turns back', () => {
  const layers = { d1: 0.3, d2: 1.7, back: 0.65 };
  for (const [w, f, v] of [
    [0.2, 0.17333, 0.73333],
    [0.6, 0.36393, 0.24407],
    [1.2, 0.37183, -0.14631],
  ] as const) {
    near(flow(w, 0.4, layers), f, 5e-6);
    near(speed(w, 0.4, layers), v, 5e-6);
  }
  near(flow(2, 0.4, { ...layers, back: 1 }), 0, 1e-12);
});

test('the speed of a change is the slope of the flow', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 1.95, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (w, s) => {
      const layers = { d1: 0.3, d2: 1.7, back: 0.65 };
      const h = 1e-6;
      near((flow(w + h, s, layers) - flow(w - h, s, layers)) / (2 * h), speed(w, s, layers), 2e-3);
    }),
  );
});

test('a hump is carried sixty millimetres and keeps its shape within five percent', () => {
  const foam = bare(120, 4);
  const hump = (x: number): number => 1e-3 * Math.exp(-((x - 30) ** 2) / 32);
  for (let k = 0; k < foam.w.length; k++) foam.w[k] = hump(((k % foam.nx) + 0.5) * foam.dx);
  foam.ux.fill(4);
  for (let n = 0; n < 300; n++) carry(foam, { i0: 0, j0: 0, i1: foam.nx, j1: foam.ny }, 0.05);
  let [off, all_] = [0, 0];
  for (let i = 0; i < foam.nx; i++) {
    const wanted = hump((i + 0.5) * foam.dx - 60);
    off += (foam.w[i]! - wanted) ** 2;
    all_ += wanted ** 2;
  }
  assert.ok(Math.sqrt(off / all_) < 0.05, `${Math.sqrt(off / all_)}`);
});

test('an open film under even air fans out as w = H(1 − x/ut)', () => {
  const p = { ...physical };
  const foam = bare(120, 4, { physical: p, tuned: { ...tuned, back: 0 } });
  const [u, seconds, edge] = [4, 10, 20];
  for (let k = 0; k < foam.w.length; k++) foam.w[k] = ((k % foam.nx) + 0.5) * foam.dx < edge ? p.film : 0;
  // with the skin's share of a linear profile, the film is one line from its surface to the ground
  foam.ux.fill(u);
  foam.share.fill(p.skin / p.film);
  for (let n = 0; n < seconds / 0.05; n++) carry(foam, { i0: 0, j0: 0, i1: foam.nx, j1: foam.ny }, 0.05);
  let [off, sum] = [0, 0];
  for (let i = 0; i < foam.nx; i++) {
    const x = (i + 0.5) * foam.dx - edge;
    if (x < 0) continue;
    const wanted = p.film * Math.max(0, 1 - x / (u * seconds));
    off += Math.abs(foam.w[i]! - wanted);
    sum += wanted;
  }
  assert.ok(off / sum < 0.01, `${off / sum}`);
});

test('warmth: a wave of it falls as it should, and two layers come together', () => {
  const foam = bare(40, 10);
  for (let k = 0; k < foam.skinC.length; k++) foam.skinC[k] = 23 + 10 * Math.cos((Math.PI * ((k % foam.fx) + 0.5)) / foam.fx);
  for (let n = 0; n < 120; n++) conduct(foam, all(foam), 0.5);
  const kept = (foam.skinC[0]! - 23) / (10 * Math.cos((Math.PI * 0.5) / foam.fx));
  near(kept, Math.exp(-((Math.PI / 40) ** 2) * (0.2 / 2.09e6) * 1e6 * 60), 0.002);
  const two = bare(10, 10);
  two.skinC.fill(83);
  two.restC.fill(43);
  for (let n = 0; n < 400; n++) warmUp(two, all(two), 0.05);
  near(two.skinC[0]! - 23, 18.66, 0.01);
});

test('hot air held two seconds: its footprint, the skin below it and what it moves', () => {
  const foam = bare(40, 40, { roomC: 21, age: 22 * 60, tuned: { ...tuned, gusts: 0 } });
  heldStill(foam, 2, 20, 25);
  const at = (i: number, j: number): number => j * foam.fx + i;
  for (const [i, j, share] of [
    [20, 25, 0.9954],
    [20, 15, 0.5528],
    [25, 20, 0.7167],
    [20, 30, 0.6516],
  ] as const)
    near(foam.foot[at(i, j)]!, share, 5e-5);
  near(foam.skinC[at(20, 25)]!, 58.12, 0.01);
  near(foam.uy[at(20, 20)]!, -3.707, 0.005);
});

test('a line of 5 mm² by 160 mm is 800 mm³ of white, however unevenly it is laid', () => {
  for (const rough of [0, 0.28, 0.6]) {
    const foam = bare(160, 60, {
      rough,
      lines: [
        {
          path: [
            { x: 0, y: 30 },
            { x: 160, y: 30 },
          ],
          sea: 1,
        },
      ],
      section: 5,
      lineWidth: 11,
    });
    near(foam.w.reduce((a, b) => a + b, 0) * 0.25, 800, 0.005);
  }
  assert.equal(panel(1, { lines: [] }).laid, 0);
});

test('white over a ground, and the air over both', () => {
  near(whiteOver(15 * 0.05, 0.05), 0.44526, 5e-6);
  near(whiteOver(0, 0.3), 0.3, 1e-12);
  near(throughAir(1), 1, 1e-12);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (w, ground) => {
      const seen = colourOf(0, w, 15, ground, 1);
      assert.ok(seen >= throughAir(ground) - 1e-9 && seen <= 1);
    }),
  );
});
