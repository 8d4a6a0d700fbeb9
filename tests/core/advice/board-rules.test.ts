import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  boardSags,
  canvasTooLarge,
  clockDoesNotFit,
  coatLeavesDry,
  coatsShortOfEdge,
  curveMeetsHole,
  curveTangled,
  dressingProud,
  dressingSinks,
  drySandWetted,
  filmDrawsBack,
  glazeHidesLacing,
  hangerTooWeak,
  holeUntaped,
  hotMugs,
  overVarnishUnscuffed,
  rawWoodUnprimed,
  sandOverFilm,
  siliconeBeforeCoat,
  thinPlySingle,
  torchBesideWood,
  waitsInSamePour,
  wallOverfull,
  type Rule,
} from '#core/advice';
import { withCoat, withDressing, withDressingChanged } from '#core/edit';
import type { Coat, Dressing, Piece, Surface, TopCoat, WaveCoat } from '#core/document';
import { piece, plan, coat, coated, metric } from '../../factories';

const ask = (rule: Rule, p: Piece): string[] => rule({ plan: plan(p), write: metric }).map((f) => `${f.severity} ${f.code}`);

/** A rule that finds something in one piece and nothing in another. */
function rule(name: string, of: Rule, finds: string, fires: Piece, ...quiet: Piece[]): void {
  test(name, () => {
    assert.ok(ask(of, fires).includes(finds), JSON.stringify(ask(of, fires)));
    const found = of({ plan: plan(fires), write: metric })[0]!;
    assert.ok(found.says && found.why && found.fix);
    for (const p of quiet) assert.deepEqual(ask(of, p), []);
  });
}

const panel = piece();
const on = (surface: Partial<Surface>, change: Partial<Piece> = {}): Piece =>
  piece({ surface: { ...panel.surface, ...surface }, ...change });
const wave = (change: Partial<WaveCoat>): Piece => coated(panel, { wave: change });
const bare = { primer: 'none' as const, primerCoats: 0 };
const dressed = (change: Partial<Dressing>, p = panel): Piece => {
  const next = withDressing(p, 'shell', { x: 200, y: 250 });
  return withDressingChanged(next, next.dressings![0]!.id, change);
};
const onTop = (p: Piece, c: Coat): Piece => ({ ...p, coats: [...p.coats, c] });
const topped = (top: Partial<TopCoat>): Piece => coated(panel, { top });

rule('raw wood and ply want a primer or a seal', rawWoodUnprimed, 'warn raw-wood-unprimed', on({ material: 'ply', ...bare }), panel, {
  ...on(bare),
  coats: [coat('seal'), ...panel.coats],
});
rule(
  'thin ply is doubled',
  thinPlySingle,
  'warn thin-ply-single',
  on({ material: 'thin ply' }),
  on({ material: 'thin ply', doubled: true }),
  panel,
);
rule(
  'varnish is scuffed',
  overVarnishUnscuffed,
  'warn over-varnish-unscuffed',
  on({ material: 'varnished wood', ...bare }),
  on({ material: 'varnished wood', primer: 'scuff only', primerCoats: 0 }),
  on({ material: 'slate', ...bare }),
);
rule(
  'a canvas above 30 cm sags',
  canvasTooLarge,
  'warn canvas-too-large',
  on({ material: 'canvas' }),
  on({ material: 'canvas' }, { shape: { kind: 'rectangle', width: 300, height: 200 } }),
  panel,
);
rule(
  'a hanging hole that stays open is taped',
  holeUntaped,
  'warn hole-untaped',
  piece({ holes: [{ x: 30, y: 30, diameter: 8 }] }),
  piece({ holes: [{ x: 30, y: 30, diameter: 8, taped: true }] }),
  piece({ holes: [{ x: 30, y: 30, diameter: 8, filled: true }] }),
);
const clock = (shaft: number, dial: number): Piece => piece({ shape: { kind: 'round', diameter: 300 }, clock: { hole: 10, shaft, dial } });
rule('a clock’s shaft comes through board and resin', clockDoesNotFit, 'stop clock-shaft-short', clock(18, 120), clock(30, 120), panel);
rule('hour marks stand on the face', clockDoesNotFit, 'warn clock-dial-wide', clock(30, 160), clock(30, 140));
rule(
  'a low shell set into a wet film is swallowed',
  dressingSinks,
  'warn dressing-sinks',
  dressed({ height: 3 }),
  dressed({ height: 9 }),
  dressed({ height: 3, when: 'before resin' }),
);
rule(
  'nothing stands above the top of a tray',
  dressingProud,
  'warn dressing-proud',
  dressed({ height: 20, size: 60 }, piece({ edge: 'wall', wallHeight: 12 })),
  piece({ edge: 'wall', wallHeight: 12 }),
  dressed({ height: 0.2, when: 'before resin', size: 40 }),
);
rule('on a panel that is only noted', dressingProud, 'note dressing-proud', dressed({ height: 20, size: 60 }));
const dry = piece({ sea: { ...panel.sea, dry: { from: 40 } } });
rule('a clear top darkens sand that should stay pale', drySandWetted, 'warn dry-sand-wetted', dry, panel, {
  ...dry,
  coats: dry.coats.map((c) => (c.kind === 'top' ? { ...c, over: { kind: 'sea' as const } } : c)),
});
const poured = (film: number): Piece => ({
  ...panel,
  coats: [panel.coats[0]!, { ...panel.coats[1]!, film: 1.5 } as Coat, panel.coats[2]!, coat('clear', { film })],
});
rule('a thin poured clear leaves the sand dry', coatLeavesDry, 'warn coat-leaves-dry', poured(0.15), poured(2), {
  ...panel,
  coats: [...panel.coats.slice(0, 3), coat('clear', { film: 0.15, laid: 'spread' })],
});
rule(
  'silicone and another coat',
  siliconeBeforeCoat,
  'stop silicone-before-coat',
  wave({ additive: 'silicone' }),
  panel,
  { ...wave({ additive: 'silicone' }), coats: wave({ additive: 'silicone' }).coats.slice(0, 3) },
  {
    ...wave({ additive: 'silicone' }),
    coats: wave({ additive: 'silicone' }).coats.flatMap((c) => (c.kind === 'top' ? [coat('seal'), c] : [c])),
  },
);
const walled = { edge: 'wall' as const, wallHeight: 12 };
rule(
  'a torch beside a wooden wall',
  torchBesideWood,
  'stop torch-beside-wood',
  { ...wave({ heat: 'torch then air' }), ...walled },
  { ...wave({ heat: 'hot air' }), ...walled },
  wave({ heat: 'torch then air' }),
  { ...wave({ heat: 'torch then air' }), ...walled, surface: { material: 'slate', primer: 'none', primerCoats: 0 } },
);
rule('the last coat reaches the edge', coatsShortOfEdge, 'warn coat-short-of-edge', topped({ inset: 5 }), panel);
rule(
  'a clear over the sea alone leaves the beach open',
  coatsShortOfEdge,
  'warn coat-short-of-edge',
  topped({ over: { kind: 'sea' } }),
  panel,
);
const sandy = (change: object): Piece => withCoat(panel, panel.coats[0]!.id, (c) => ({ ...c, ...change }) as Coat);
rule(
  'sand that ends as a step',
  sandOverFilm,
  'warn sand-over-film',
  sandy({ taper: 0, film: 3 }),
  sandy({ taper: 20, film: 3 }),
  sandy({ taper: 0, film: 1 }),
);
rule('a film too thin to stay spread', filmDrawsBack, 'warn film-draws-back', onTop(panel, coat('glaze', { film: 0.3 })), panel);
rule(
  'a thin glaze on a hard gloss wants a scuff',
  filmDrawsBack,
  'note film-needs-scuff',
  onTop(panel, coat('glaze', { film: 0.5 })),
  onTop(panel, coat('glaze', { film: 0.8 })),
);
const glazed = (load: number): Piece =>
  onTop(panel, coat('glaze', { film: 1, tint: { name: 'Glaze', recipe: [{ colourantId: 'phthalo-blue', load }] } }));
rule('a glaze so dark that it hides the lacing', glazeHidesLacing, 'warn glaze-hides-lacing', glazed(0.02), glazed(0.0003), panel);
rule(
  'a coat cannot be in a pour and wait',
  waitsInSamePour,
  'warn waits-in-same-pour',
  wave({ waits: { coatId: panel.coats[0]!.id, until: 'hard' } }),
  panel,
);
rule('a hanger carries the finished weight', hangerTooWeak, 'stop hanger-too-weak', piece({ hangerKg: 1 }), piece({ hangerKg: 10 }), panel);
const long = { kind: 'rectangle' as const, width: 1800, height: 300 };
rule(
  'a long thin board sags',
  boardSags,
  'warn board-sags',
  piece({ shape: long, thickness: 6 }),
  piece({ shape: long, thickness: 60 }),
  panel,
);
rule(
  'a tray holds all of its coats',
  wallOverfull,
  'stop wall-overfull',
  piece({ edge: 'wall', wallHeight: 2 }),
  piece({ edge: 'wall', wallHeight: 12 }),
  panel,
);
rule('hot mugs are a matter of the maker’s rating', hotMugs, 'note hot-mugs', piece({ use: 'hot mugs' }), panel);
const loop = [
  { x: 0, y: 150 },
  { x: 300, y: 150 },
  { x: 150, y: 250 },
  { x: 150, y: 60 },
  { x: 400, y: 100 },
];
rule('a shoreline that crosses itself', curveTangled, 'warn curve-tangled', piece({ sea: { ...panel.sea, shoreline: loop } }), panel);
const holed = (x: number, y: number): Piece => piece({ holes: [{ x, y, diameter: 30, taped: true }] });
rule('a shore over a hole', curveMeetsHole, 'note curve-meets-hole', holed(200, 180), holed(200, 40), panel);
