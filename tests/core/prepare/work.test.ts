import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Piece } from '#core/document';
import { hourMarks, hoursBefore, hoursOf, sayWork, workAfter, workBefore } from '#core/prepare';
import { method, piece, metric } from '../../factories';
import { near } from '../help';

const does = (p: Piece): string =>
  workBefore(p, method)
    .map((w) => sayWork(w, p, metric).does)
    .join(' ');
const surface = (change: Partial<Piece['surface']>): Piece => piece({ surface: { ...piece().surface, ...change } });

test('raw wood: sanded, primed three times with drying, set level', () => {
  assert.match(does(piece()), /Sand along the grain.*gesso 3 times.*Set it on feet/);
  // half an hour of sanding, three hours of gesso, a quarter hour to set up
  near(hoursBefore(piece(), method), 3.75);
  near(hoursBefore(piece(), { ...method, drying: { gesso: 2 } }), 6.75);
});

test('each surface asks for its own', () => {
  assert.match(does(surface({ material: 'thin ply', doubled: true })), /Glue a second sheet/);
  assert.match(does(surface({ material: 'varnished wood', primer: 'none', primerCoats: 0 })), /Degrease, then scuff/);
  assert.match(does(surface({ material: 'canvas' })), /Brace the canvas/);
  assert.match(does(surface({ relief: { height: 3, share: 0.3 } })), /dry through/);
  assert.match(does(surface({ ground: 'foil' })), /foil/);
  assert.match(does(surface({ underside: 'latex' })), /latex on the back/);
  assert.doesNotMatch(does(surface({ material: 'glass', primer: 'none', primerCoats: 0 })), /Sand along|gesso/);
  assert.ok(workBefore(piece(), method).some((w) => /mask/.test(sayWork(w, piece(), metric).caution ?? '')));
});

test('holes and edges are guarded before, and cleared after', () => {
  const drilled = piece({
    holes: [
      { x: 50, y: 50, diameter: 10, taped: true },
      { x: 90, y: 50, diameter: 10, filled: true },
    ],
  });
  assert.match(does(drilled), /Tape over the hole.*Close the hole/);
  const after = (p: Piece): string =>
    workAfter(p, method)
      .map((w) => sayWork(w, p, metric).does)
      .join(' ');
  assert.match(after(drilled), /Clear the holes/);
  assert.match(after(piece({ edge: 'taped' })), /peel it after hardening/);
  assert.match(after(piece({ edge: 'taped', tapeOff: 'while soft' })), /while the film is soft/);
  assert.match(after(piece({ edge: 'run over' })), /Wipe drips/);
  assert.match(after(piece({ edge: 'dammed' })), /Cut along the dam/);
  assert.doesNotMatch(after(piece({ edge: 'wall', wallHeight: 10 })), /drips/);
});

test('work is data: one after the other, hands on it and then a wait, by the hours the studio gives', () => {
  const work = workBefore(piece(), { ...method, drying: { gesso: 2 } });
  assert.deepEqual(
    work.map((w) => [w.key, w.follows]),
    [
      ['sand', undefined],
      ['gesso', 'sand'],
      ['set up', 'gesso'],
    ],
  );
  const gesso = work[1]!;
  // three coats of two hours, ten minutes of each by hand
  near(gesso.hands, 0.5, 1e-9);
  near(gesso.wait, 5.5, 1e-9);
  near(hoursOf(...work), hoursBefore(piece(), { ...method, drying: { gesso: 2 } }), 1e-9);
});

test('a clock face is set out from its middle, twelve where it hangs', () => {
  const marks = hourMarks({ shape: { kind: 'round', diameter: 300 }, clock: { hole: 10, shaft: 20, dial: 120 } });
  assert.equal(marks.length, 12);
  const at = (hour: number) => marks.find((m) => m.hour === hour)!;
  near(at(12).x, 150, 1e-9);
  near(at(12).y, 30, 1e-9);
  near(at(3).x, 270, 1e-9);
  near(at(6).y, 270, 1e-9);
  assert.deepEqual(hourMarks(piece()), []);
});
