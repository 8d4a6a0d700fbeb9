import assert from 'node:assert/strict';
import { test } from 'node:test';
import { coldOf } from '../../../src/core/foam/drive';
import { open, radius } from '../../../src/core/foam/holes';
import { rest, tuned, type Foam, type Tuned } from '../../../src/core/foam/index';
import { nucleate } from '../../../src/core/foam/nucleation';
import { breakWalls } from '../../../src/core/foam/rupture';
import { contactsOf } from '../../../src/core/foam/contacts';
import { setTiles } from '../../../src/core/foam/tiles';
import { near } from '../help';
import { bare } from './panel';

/** An even film of white on a board, its figures changed. */
function even(side: number, w: number, changed: Partial<Tuned>): Foam {
  const foam = bare(side, side, { seed: 3, tuned: { ...tuned, holds: 0, sink: 0, ...changed } });
  foam.w.fill(w);
  return foam;
}

test('a cell in a veil grows toward the largest as the film thickens', () => {
  const foam = even(40, 1e-3, { born: 0, grow: 0.012, largest: 4.5 });
  open(foam.holes, 20, 20, 0.15, 1, 1);
  // short rests: the age of each is that of its middle to within little
  for (let n = 0; n < 1200; n++) rest(foam, 1);
  near(radius(foam.holes, 0), 4.0689, 0.02);
});

/** Cells of an even film after five minutes, in steps of so many seconds. */
function born(step: number): Foam {
  const foam = even(200, 0.15, { born: 2e-4, grow: 0 });
  setTiles(foam);
  const box = { i0: 0, j0: 0, i1: foam.nx, j1: foam.ny };
  for (let t = 0; t < 300; t += step) {
    foam.age = t + step / 2;
    nucleate(foam, box, step, coldOf(foam));
  }
  return foam;
}

test('as many cells are born as their hazard says, and the same ones in steps of a quarter', () => {
  const [a, b] = [born(20), born(5)];
  const expected = 1594;
  assert.ok(Math.abs(a.holes.count - expected) < 4 * Math.sqrt(expected), `${a.holes.count}`);
  const places = (f: Foam): Set<string> => new Set(Array.from({ length: f.holes.count }, (_, k) => `${f.holes.x[k]} ${f.holes.y[k]}`));
  const [pa, pb] = [places(a), places(b)];
  const shared = [...pa].filter((p) => pb.has(p)).length;
  assert.ok(shared > 0.98 * pa.size, `${shared} of ${pa.size}`);
});

test('two cells in contact become one of both their areas, between them', () => {
  const foam = even(40, 0.1, { burst: 1 });
  open(foam.holes, 18, 20, 2, 1, 1);
  open(foam.holes, 21, 20, 1.5, 1, 2);
  const contacts = contactsOf(foam.holes, 40, 40);
  assert.ok(contacts.share[0]! > 0 && contacts.share[1]! > contacts.share[0]!);
  breakWalls(foam, contacts, 1e4, coldOf(foam));
  assert.equal(foam.holes.count, 1);
  near(radius(foam.holes, 0), Math.sqrt(2 * 2 + 1.5 * 1.5), 1e-9);
  near(foam.holes.x[0]!, (18 * 4 + 21 * 2.25) / 6.25, 1e-9);
  assert.ok(foam.holes.xx[0]! > foam.holes.yy[0]!, 'drawn out along the line of their centres');
});
