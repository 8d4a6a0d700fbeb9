import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { withDressing, withDressingChanged } from '#core/edit';
import type { Coat, Piece, Point } from '#core/document';
import { clearanceOf, sagOf, sectionOf, weightOf, type PiecePlan, type SectionLayer } from '#core/plan';
import { piece, plan, coat, coated } from '../../factories';
import { near, sum } from '../help';

const line = (y: number): Point[] => [
  { x: 0, y },
  { x: 400, y },
];
/** A third of a panel beach, two thirds one tint, no run-over, with the coats given. */
const board = (coats: Coat[], change: Partial<Piece> = {}): Piece =>
  piece({ edge: 'taped', sea: { side: 'far', shoreline: line(200), edges: [] }, coats, ...change });

test('a top over a 2 mm beach and a 1.5 mm sea: half a millimetre on the sand, a millimetre on the sea', () => {
  const p = plan(board([coat('sand', { film: 2, taper: 0 }), coat('sea', { film: 1.5 }), coat('top', { cover: 0.5 })]));
  // 400 cm² · 0.5 mm + 800 cm² · 1.0 mm
  near(sum(p.coats[2]!.cups.map((c) => c.makeup.laid)), 100, 0.3);
  near(clearanceOf(p).level, 2.5, 1e-6);
});

test('what is poured fills low places first, and its volume is kept: a clear of 0.4 mm over a step of half a millimetre', () => {
  const p = plan(board([coat('sand', { film: 2, taper: 0 }), coat('sea', { film: 1.5 }), coat('clear', { film: 0.4 })]));
  const clear = p.heights().layings.at(-1)!;
  // 1200 cm² · 0.4 mm goes half a millimetre deep over 800 cm², and the last 8 ml over everything
  near(clear.level!, 2 + (48 - 40) / 120, 0.01);
  near(Math.max(...clear.thickness), 0.5 + 8 / 120, 0.01);
  near(p.coats[2]!.cups[0]!.makeup.laid, 48, 1e-6);
});

test('poured films keep their volume over any ground, and no surface lies below the ground', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 4, noNaN: true }),
      fc.double({ min: 0.3, max: 3, noNaN: true }),
      fc.integer({ min: 0, max: 80 }),
      (sand, clear, taper) => {
        const p = plan(board([coat('sand', { film: sand, taper }), coat('sea', { film: 1.2 }), coat('clear', { film: clear })]));
        const { layings, surface, parts } = p.heights();
        const mean = sum([...layings.at(-1)!.thickness]) / parts.filter((x) => x >= 0).length;
        near(mean / clear, 1, 1e-3);
        assert.ok(layings.every((l) => l.thickness.every((t) => t >= 0)));
        assert.ok(surface.every((h, i) => parts[i]! < 0 || h >= clear * 0));
      },
    ),
    { numRuns: 25 },
  );
});

test('sand that thins out across the shore keeps its amount', () => {
  const flat = plan(board([coat('sand', { taper: 0 })]));
  const thinned = plan(board([coat('sand', { taper: 40 })]));
  assert.equal(thinned.coats[0]!.ml, flat.coats[0]!.ml);
  const volume = (p: typeof flat): number => sum([...p.heights().layings[0]!.thickness]);
  near(volume(thinned) / volume(flat), 1, 0.01);
});

test('a section from deep to beach: films as planned, the sand running out under the sea', () => {
  const p = plan(board([coat('sand', { film: 2, taper: 40 }), coat('sea', { film: 1.5 }), coat('top', { cover: 0.5 })]));
  const section = sectionOf(p, { x: 200, y: 0 }, { x: 200, y: 300 });
  near(section.length, 300);
  const layer = (kind: SectionLayer['kind']): SectionLayer => section.layers.find((l) => l.kind === kind)!;
  const at = (l: SectionLayer, y: number): number => {
    const i = section.along.findIndex((a) => a >= y);
    return l.top[i]! - l.bottom[i]!;
  };
  near(at(layer('sand'), 290), 2, 1e-9);
  near(at(layer('sand'), 200), 1, 0.05);
  near(at(layer('sand'), 170), 0, 1e-9);
  // 800 cm² of sea keep 1.5 mm on the mean: the wedge under it takes 400 mm · 20 mm · ½ mm, so the level is 0.05 mm higher
  near(at(layer('sea'), 20), 1.55, 0.01);
  near(section.height, 2.5, 0.01);
  near(section.layers.at(-1)!.top[5]!, section.height, 1e-6);
});

test('a wave is a cap of its own volume over its reach', () => {
  const wave = coat('wave', { reachSea: 40, reachUp: 20, lines: 2, lineWidth: 6, lineHeight: 2 });
  const section = sectionOf(plan(board([coat('sea'), wave])), { x: 200, y: 0 }, { x: 200, y: 300 });
  const [barrier, white] = section.layers.slice(-2);
  const step = section.along[1]! - section.along[0]!;
  const across = (l: SectionLayer): number => sum([...l.top].map((t, i) => t - l.bottom[i]!)) * step;
  // two lines of ⅔·6·2, and 60 mm of foam, 0.25 mm thick, 35 % open
  near(across(barrier!), 16, 0.4);
  near(across(white!), 60 * 0.25 * 0.65, 0.3);
  assert.equal(white!.top[0], white!.bottom[0]);
});

test('a wave floats in the wet film of its own pour, which it lifts; on a hard coat it stands', () => {
  const wave = (samePour: boolean): Coat => coat('wave', { samePour, reachSea: 40, reachUp: 0, lines: 1, lineWidth: 10, lineHeight: 2.5 });
  const wet = plan(board([coat('sea', { film: 1.5 }), wave(true)])).heights();
  const hard = plan(board([coat('sea', { film: 1.5 }), wave(false)])).heights();
  const heights = ({ surface, parts }: typeof wet): number[] => [...surface].filter((_, i) => parts[i]! > 0);
  // ⅔·10·2.5 + 40·0.25·0.65 mm² along 400 mm, spread over 800 cm²
  near(Math.max(...heights(wet)), 1.5 + (400 * (50 / 3 + 6.5)) / 80000, 0.005);
  near(Math.max(...heights(wet)), Math.min(...heights(wet)), 1e-6);
  near(Math.max(...heights(hard)) - 1.5, (1.5 * (50 / 3 + 6.5)) / 40, 0.02);
  near(sum(heights(wet)) / sum(heights(hard)), 1, 0.003);
});

test('a section shows the levels of the whole board, whatever part it cuts', () => {
  const p = plan(
    board([coat('sand'), coat('sea'), coat('wave'), coat('glaze', { film: 0.8 }), { ...coat('wave'), id: 'second' }, coat('top')]),
  );
  const whole = p.heights();
  const section = sectionOf(p, { x: 100, y: 0 }, { x: 300, y: 80 });
  near(section.height, Math.max(...whole.surface), 0.01);
});

test('a bed of clear shares the film of the sea over it', () => {
  const plain = plan(board([coat('sea', { film: 2 })]));
  const bedded = plan(board([coat('sea', { film: 2, bed: 0.5 })]));
  const laid = (p: typeof plain): number => sum(p.coats[0]!.cups.map((c) => c.makeup.laid));
  near(laid(bedded), laid(plain), 1e-6);
  near(bedded.coats[0]!.cups[0]!.makeup.laid, 40, 1e-6);
  assert.equal(bedded.coats[0]!.cups[0]!.name, 'Clear bed');
});

test('a bare gap is white of the sea’s film, and the tint stops short of it', () => {
  const wave = coat('wave', { under: 'gap', lines: 1, lineWidth: 10 });
  const p = plan(board([coat('sea', { film: 1.5 }), wave]));
  near(p.coats[0]!.area, 80000 - 400 * 5, 1);
  assert.deepEqual(
    p.coats[1]!.cups.map((c) => c.name),
    ['White'],
  );
  // its reach or its line, whichever is more, half as much again
  const [reach, drawn] = [55 * 400 * 0.25 * 0.65, (2 / 3) * 10 * 1.5 * 400];
  near(p.coats[1]!.cups[0]!.makeup.laid, (10 * 400 * 1.5 + 1.5 * Math.max(reach, drawn)) / 1000, 0.01);
});

test('a tray shows what is left of its wall, and what stands over its top', () => {
  const coats = [coat('sand', { film: 2, taper: 0 }), coat('sea', { film: 2 }), coat('top', { cover: 1 })];
  const tray = board(coats, { edge: 'wall', wallHeight: 12 });
  near(clearanceOf(plan(tray)).wallLeft!, 9, 1e-6);
  const dressed = withDressing(tray, 'stone', { x: 100, y: 250 });
  const stone = dressed.dressings![0]!;
  near(clearanceOf(plan(withDressingChanged(dressed, stone.id, { height: 14, size: 60 }))).highest, 16, 0.3);
});

test('what is set into a coat is dipped, and a hole filled on purpose is in the first film over it', () => {
  const base = board([coat('sea'), coat('wave'), coat('top')]);
  const shell = withDressing(base, 'shell', { x: 200, y: 250 });
  const dips = plan(shell).coats[1]!.cups.filter((c) => c.serves.some((s) => s.dips));
  assert.deepEqual(
    dips.map((c) => c.name),
    ['Clear under the white'],
    'a dip is taken from the clear that is held back anyway',
  );
  const filled = plan({ ...base, holes: [{ x: 200, y: 100, diameter: 20, filled: true }] });
  near(filled.coats[0]!.cups.find((c) => c.name === 'Clear for holes')!.makeup.laid, (Math.PI * 100 * 18) / 1000, 1e-6);
  assert.equal(filled.area, 120000);
});

test('a panel weighs its wood, its resin and its sand; a thin long board sags', () => {
  const bare = plan(board([]));
  near(weightOf(bare).total, 120000 * 18 * 0.6e-6, 1e-9);
  const sea = plan(board([coat('sea', { film: 1.5 })]));
  near(weightOf(sea).resin, (80000 * 1.5e-6 * (1.15 + 0.98)) / 2, 1e-4);
  // 5qL⁴/384EI by hand: q = 0.018 m · 600 kg/m³ · g, L 0.4 m, E 9 GPa, I = t³/12
  near(sagOf(bare), (1000 * 5 * 0.018 * 600 * 9.80665 * 0.4 ** 4) / (384 * 9e9 * (0.018 ** 3 / 12)), 1e-9);
  assert.equal(sagOf(plan(board([], { surface: { material: 'canvas', primer: 'gesso', primerCoats: 2 } }))), Infinity);
});

test('a film changed in a coat changes nothing else', () => {
  const p = board([coat('sand'), coat('sea'), coat('top')]);
  const thicker = plan(coated(p, { top: { cover: 1.6 } }));
  near(thicker.coats[2]!.film - plan(p).coats[2]!.film, 0.6, 0.01);
  const of = (p: PiecePlan) => p.coats[1]!.cups.map(({ ml, parts, doses, makeup }) => ({ ml, parts, doses, makeup }));
  assert.deepEqual(of(thicker), of(plan(p)));
});
