import assert from 'node:assert/strict';
import { test } from 'node:test';
import { foamSeen } from '#core/learn';
import type { PhotoReading, WaveCoat } from '#core/document';
import { movesOf, movesOn, tuned } from '#core/foam';
import { LUCKS_ALONG, oneLuck, playedOf, stretch } from '#core/rehearse';
import { near } from '../help';
import { coated, piece, plan } from '../../factories';

const panel = coated(piece({}, { shape: { kind: 'rectangle', width: 160, height: 120 } }), { wave: { reachSea: 16, reachUp: 4 } });

test('a board whose air moved white harder and whose cells were more says so of the rehearsal’s figures, in their order', () => {
  const truth = { drag: tuned.drag * 1.3, born: tuned.born * 1.5, grow: tuned.grow, wall: tuned.wall };
  const of = plan(panel);
  const wave = panel.coats.find((c): c is WaveCoat => c.kind === 'wave')!;
  const trueOf = plan(panel, { method: { ...of.means.method, foam: truth } });
  const { scene, setup, acts } = playedOf(trueOf, wave, 1);
  const cut = stretch(scene, LUCKS_ALONG);
  const moves = movesOn(movesOf(acts), cut, cut.scene.width, cut.scene.height);
  const lucks = [5, 6].map((luck) => oneLuck(cut.scene, { ...setup, luck }, moves, []).left);
  const mean = (at: (f: (typeof lucks)[0]) => number): number => lucks.reduce((sum, f) => sum + at(f), 0) / lucks.length;
  const reading: PhotoReading = {
    at: '2026-11-01T10:00:00Z',
    white: mean((f) => f.white),
    open: mean((f) => f.open),
    cells: { count: 200, perCm2: mean((f) => f.perCm2), low: 1, middle: mean((f) => f.diameters.middle), high: 4 },
    toSea: { middle: mean((f) => f.toSea.middle), most: 20 },
    up: { middle: 3, most: 5 },
    bands: [],
    pxPerMm: 5,
    blur: 0.1,
    glare: 0,
    light: 1,
    noise: 0,
  };
  let runs = 0;
  const seen = foamSeen(of, wave, reading, () => runs++);
  assert.ok(runs > 0);
  const names = seen.map((s) => s.figure);
  assert.deepEqual(
    names,
    ['foam drag', 'foam born', 'foam growth', 'foam wall'].filter((f) => names.includes(f as never)),
  );
  const drag = seen.find((s) => s.figure === 'foam drag')!;
  near(Math.log(drag.value / truth.drag), 0, 0.3);
  const born = seen.find((s) => s.figure === 'foam born');
  if (born) assert.ok(born.value > tuned.born * 1.05, String(born.value / tuned.born));
});
