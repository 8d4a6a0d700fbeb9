import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Writes } from '#core/units';
import { steady } from '#core/air';
import {
  advise,
  batchOutlasts,
  batchSplit,
  colourantOverOwn,
  cautionFor,
  cupTooBig,
  doseOff,
  drawingAstray,
  equalGrams,
  filmOverEdge,
  foodWithoutClearTop,
  loadOverLimit,
  rawWoodUnprimed,
  sessionAdvice,
  solidsPacked,
  whiteOffWindow,
  whiteTwoWays,
  type Finding,
  type Rule,
} from '#core/advice';
import { withCoat, withFilm, withLoad, withShape, withoutCoat } from '#core/edit';
import type { Coat, Piece, WaveCoat } from '#core/document';
import { stepThat, type Means } from '#core/plan';
import { means, method, piece, plan, resin, coated, marked, metric, planner } from '../../factories';

const ask = (rule: Rule, p: Piece = piece(), change: Partial<Means> = {}, write: Writes = metric): Finding[] =>
  rule({ plan: plan(p, change), write });
const codes = (found: Finding[]): string[] => found.map((f) => `${f.severity} ${f.code}`);
const quiet = (found: Finding[]): void => assert.deepEqual(codes(found), []);

const panel = piece();
const [sandId, , waveId, topId] = panel.coats.map((c) => c.id) as [string, string, string, string];
/** Times of a film, as they stand. */
const film = { ...resin, statedG: 0 };
/** One mixing for each resin, whatever comes of it. */
const atOnce = { ...method, batches: 'one a resin' as const };
const waveAt = (layAt: number): Piece => coated(panel, { wave: { layAt } });

test('equal grams: named with its size for a by-volume resin on a scale', () => {
  const [found] = ask(equalGrams);
  assert.equal(found!.code, 'equal-grams');
  assert.match(found!.why, /1 : 1 by volume; equal weights would put in 17\.3 % too much hardener/);
  const twoToOne = { ...resin, ratio: { a: 2, b: 1, by: 'volume' as const } };
  assert.match(ask(equalGrams, panel, { resins: [twoToOne] })[0]!.why, /2 : 1 by weight would/);
});
test('equal grams: nothing to say with marked cups, by weight, or where the densities agree', () => {
  quiet(ask(equalGrams, panel, {}, marked));
  quiet(ask(equalGrams, panel, { resins: [{ ...resin, ratio: { a: 100, b: 83, by: 'weight' } }] }));
  quiet(ask(equalGrams, panel, { resins: [{ ...resin, densityB: resin.densityA }] }));
});

test('load over limit: stops, and says which cup and by how much', () => {
  const heavy = withLoad(panel, waveId, 0, { colourantId: 'white-paste', load: 0.08 });
  const [found] = ask(loadOverLimit, heavy);
  assert.deepEqual([found!.severity, found!.where.coatId], ['stop', waveId]);
  assert.match(found!.says, /White holds 8 % colourant; Coating resin takes 6 %/);
});
test('load at the limit is within it', () => quiet(ask(loadOverLimit)));

test('cup too big: a mixing cup that runs away before it is emptied stops', () => {
  const lid = withShape(panel, { kind: 'rectangle', width: 2000, height: 1500 });
  const found = ask(cupTooBig, lid, { resins: [{ ...resin, gelMin: 90 }], air: steady(28), method: atOnce });
  assert.ok(codes(found).includes('stop cup-too-big'));
  assert.match(found[0]!.says, /begins to heat by itself, faster and faster, after \d+ min; your plan empties it at \d+ min/);
});
test('cup too big: one that is only past working is a warning', () => {
  const lone = withFilm({ ...panel, coats: [{ ...panel.coats[3]!, samePour: false }] }, topId, 3);
  const found = ask(cupTooBig, lone, { resins: [{ ...resin, workingMin: 5, gelMin: 240 }], method: atOnce });
  assert.deepEqual(codes(found), ['warn cup-too-big']);
});
test('cup too big: a coaster’s cup is not, and a panel’s is only noted', () => {
  quiet(ask(cupTooBig, withShape(panel, { kind: 'round', diameter: 60 })));
  const noted = ask(cupTooBig, withShape(panel, { kind: 'rectangle', width: 900, height: 600 }));
  assert.ok(noted.length && noted.every((f) => f.severity === 'note' && f.code === 'cup-left-standing'));
});

test('a batch that was split says so once, with what one mixing would do; one that was not is quiet', () => {
  const lid = withShape(panel, { kind: 'rectangle', width: 1600, height: 900 });
  const warm = { air: steady(27), resins: [film] };
  quiet(ask(cupTooBig, lid, warm).filter((f) => f.severity !== 'note'));
  const found = ask(batchSplit, lid, warm).filter((f) => f.where.pour === 0);
  assert.equal(found.length, 1);
  assert.match(found[0]!.says, /Coating resin is mixed in \d batches/);
  assert.match(found[0]!.why, /One mixing would take \d+ min of work|In one mixing, \d+ g in/);
  quiet(ask(batchSplit));
});

test('a colourant over what its own maker allows is warned of, though the resin would take it', () => {
  const milky = withLoad(panel, waveId, 0, { colourantId: 'white-paste', load: 0.05 });
  const strict = means.colourants.map((c) => (c.id === 'white-paste' ? { ...c, limit: 0.04 } : c));
  const [found] = ask(colourantOverOwn, milky, { colourants: strict });
  assert.match(found!.says, /White holds 5 % of White paste; its own maker allows 4 %/);
  quiet(ask(colourantOverOwn, milky));
});

test('white by reach and by line more than two times apart is warned of, either way round', () => {
  const wave = (part: Partial<WaveCoat>): Piece => withCoat(panel, waveId, (c) => ({ ...(c as WaveCoat), ...part }));
  quiet(ask(whiteTwoWays));
  const thick = ask(whiteTwoWays, wave({ lineHeight: 4 }))[0]!;
  assert.match(thick.says, /The reach takes \d+(\.\d)? ml of white; the drawn line holds \d+(\.\d)? ml/);
  assert.match(thick.fix, /fewer or thinner lines/);
  assert.match(ask(whiteTwoWays, wave({ lines: 1, lineWidth: 3, lineHeight: 1 }))[0]!.fix, /another line/);
});

test('powders bring their mask to the mixing step', () => {
  const mica = { ...means.colourants[0]!, id: 'mica', kind: 'mica powder' as const };
  const pearly = withLoad(panel, waveId, 0, { colourantId: 'mica', load: 0.01 });
  const step = plan(pearly).pours[0]!.steps[0]!;
  assert.match(cautionFor(step, [pearly], [...means.colourants, mica])!, /fine-particle mask while they are dry/);
  assert.doesNotMatch(cautionFor(step, [panel], means.colourants)!, /mask while/);
});

test('batch outlasts the working time: a wave planned past it', () => {
  const [found] = ask(batchOutlasts, waveAt(60), { resins: [film] });
  assert.equal(found!.severity, 'stop');
  assert.match(found!.says, /takes 64 min of work; Coating resin can be worked for 45 min/);
});
test('a batch that ends inside its working time is quiet, and a warm room shortens that', () => {
  quiet(ask(batchOutlasts));
  assert.deepEqual(codes(ask(batchOutlasts, waveAt(24), { air: steady(40), resins: [film] })), ['stop batch-outlasts']);
});

test('film over the edge: warned from 0.8 of what it holds, stopped at it', () => {
  const with_ = (film: number): Piece => withFilm(panel, topId, film);
  assert.deepEqual(codes(ask(filmOverEdge, with_(3.2))), ['warn film-over-edge']);
  assert.deepEqual(codes(ask(filmOverEdge, with_(3.9))), ['stop film-over-edge']);
});
test('film over the edge: a thin film, a dam, or a wall that is high enough', () => {
  quiet(ask(filmOverEdge));
  quiet(ask(filmOverEdge, { ...withFilm(panel, topId, 6), edge: 'dammed' }));
  quiet(ask(filmOverEdge, { ...withFilm(panel, topId, 6), edge: 'wall', wallHeight: 12 }));
  assert.deepEqual(codes(ask(filmOverEdge, { ...withFilm(panel, topId, 6), edge: 'wall', wallHeight: 5 })), ['stop film-over-edge']);
});

test('raw wood without primer warns; primed wood, slate and a bare table do not', () => {
  assert.deepEqual(codes(ask(rawWoodUnprimed, { ...panel, surface: { material: 'raw wood', primer: 'none', primerCoats: 0 } })), [
    'warn raw-wood-unprimed',
  ]);
  assert.match(ask(rawWoodUnprimed, { ...panel, surface: { material: 'mdf', primer: 'scuff only', primerCoats: 0 } })[0]!.says, /MDF/);
  quiet(ask(rawWoodUnprimed));
  quiet(ask(rawWoodUnprimed, { ...panel, surface: { material: 'slate', primer: 'none', primerCoats: 0 } }));
});

test('food without a clear top stops; with one, or on the wall, it does not', () => {
  const bare = withoutCoat(panel, topId);
  assert.deepEqual(codes(ask(foodWithoutClearTop, { ...bare, use: 'food' })), ['stop food-without-clear-top']);
  quiet(ask(foodWithoutClearTop, { ...panel, use: 'food' }));
  quiet(ask(foodWithoutClearTop, bare));
});

test('white before its window, after it, and with none at all', () => {
  const early: Piece = { ...waveAt(3), coats: [waveAt(3).coats[2]!].map((c) => ({ ...c, samePour: false }) as Coat) };
  assert.match(ask(whiteOffWindow, early)[0]!.why, /blurs to a pale wash/);
  assert.match(ask(whiteOffWindow, waveAt(44), { resins: [film] })[0]!.fix, /Plan it by \d+ min/);
  assert.match(
    ask(whiteOffWindow, panel, { resins: [{ ...film, workingMin: 18, gelMin: 120 }], method: atOnce })[0]!.fix,
    /coats before it take too long/,
  );
  assert.match(ask(whiteOffWindow, panel, { resins: [{ ...film, workingMin: 3, gelMin: 20 }] })[0]!.says, /no window for white/);
});
test('a white laid late in thick resin is only noted, since many wait for edges that hold', () => {
  const thick = { ...film, viscosity: 4, workingMin: 60 };
  assert.deepEqual(codes(ask(whiteOffWindow, waveAt(44), { resins: [thick] })), ['note white-laid-late']);
  assert.deepEqual(codes(ask(whiteOffWindow, waveAt(44), { resins: [{ ...thick, viscosity: 0.9, workingMin: 42 }] })), [
    'warn white-off-window',
  ]);
});
test('white in its window is quiet', () => quiet(ask(whiteOffWindow)));

test('edges that cross and coats that cover nothing are said; a sound drawing is not', () => {
  quiet(ask(drawingAstray));
  const { sea } = panel;
  const crossed = { ...panel, sea: { ...sea, edges: [...sea.edges].reverse() } };
  assert.ok(codes(ask(drawingAstray, crossed)).includes('warn edges-crossed'));
  const drowned = { ...panel, sea: { ...sea, shoreline: sea.shoreline.map((p) => ({ ...p, y: 300 })) } };
  const found = ask(drawingAstray, drowned);
  assert.deepEqual(
    found.map((f) => [f.code, f.where.coatId]),
    [['nothing-to-cover', sandId]],
  );
});

test('advice puts the most severe first', () => {
  const bad = {
    ...withLoad(withoutCoat(panel, topId), waveId, 0, { colourantId: 'white-paste', load: 0.08 }),
    use: 'food' as const,
    surface: { material: 'raw wood' as const, primer: 'none' as const, primerCoats: 0 },
  };
  const severities = advise({ plan: plan(bad), write: metric }).map((f) => f.severity);
  assert.deepEqual(
    severities,
    [...severities].sort((a, b) => ['stop', 'warn', 'note'].indexOf(a) - ['stop', 'warn', 'note'].indexOf(b)),
  );
  assert.ok(severities.filter((s) => s === 'stop').length >= 2);
});

test('cautions stand at the step where they matter, once', () => {
  const { steps } = plan().pours[0]!;
  const said = steps.map((s) => cautionFor(s, [panel]));
  assert.match(said[0]!, /Nitrile gloves.*safety sheet/);
  assert.equal(said.filter((s) => s?.includes('nozzle')).length, 1);
  assert.match(said.at(-1)!, /children/);
  assert.match(cautionFor(steps.at(-1)!, [{ ...panel, use: 'food' }])!, /hand wash/);
  assert.equal(cautionFor(stepThat(steps, 'pour')!, [panel]), undefined);
});

test('a torch and hot mugs bring their own cautions, and hot air does not', () => {
  const heated = (heat: WaveCoat['heat']) => plan(withCoat(panel, waveId, (c) => ({ ...(c as WaveCoat), heat }) as Coat)).pours[0]!.steps;
  assert.match(cautionFor(stepThat(heated('torch then air'), 'flick')!, [panel])!, /extinguisher near/);
  assert.doesNotMatch(cautionFor(stepThat(heated('hot air'), 'heat')!, [panel])!, /extinguisher/);
  const done = plan().pours[0]!.steps.at(-1)!;
  assert.match(cautionFor(done, [{ ...panel, use: 'hot mugs' }])!, /heat rating/);
});

test('whole drops only: a cup that comes out much too strong says so, with the way out; thinned it is quiet', () => {
  const coaster = piece({}, { shape: { kind: 'round', diameter: 90 } });
  quiet(ask(doseOff, coaster));
  const whole = { method: { ...method, fewDrops: 'whole drops' as const } };
  const found = ask(doseOff, coaster, whole);
  assert.ok(found.length > 0 && found.every((f) => f.code === 'dose-off' && f.severity === 'warn'));
  assert.match(found[0]!.says, /^One drop of Turquoise tint makes Deep [\d.]+ times too strong\.$/);
  assert.match(found[0]!.fix, /Thin the colourant first \(too few drops to count, in Settings\), fill a larger cup/);
  assert.ok(plan(coaster, whole).pours.every((p) => p.steps.every((step) => step.id.does !== 'thin')));
});

test('five per cent and one per cent are not over six', () => {
  const two = means.colourants.map((c) =>
    c.id === 'turquoise' ? { ...c, kind: 'paste' as const, dropMl: undefined } : c,
  ) as Means['colourants'];
  const full = withLoad(withLoad(panel, waveId, 0, { colourantId: 'white-paste', load: 0.05 }), waveId, 0, {
    colourantId: 'turquoise',
    load: 0.01,
  });
  const white = plan(full, { colourants: two })
    .pours[0]!.batches.flatMap((b) => b.cups)
    .find((c) => c.id.role === 'white')!;
  assert.ok(white.load > 0.06 && white.load < 0.0600001, 'binary makes a little more of it');
  quiet(ask(loadOverLimit, full, { colourants: two }));
});

test('solids past 0.60 of a mix stop, whatever the resin', () => {
  const dense = { resins: [{ ...resin, densityA: 1.6, densityB: 1.6 }] };
  const sandy = (perResin: number) => coated(panel, { sand: { sandPerResin: perResin } });
  quiet(ask(solidsPacked, sandy(2.2)));
  assert.deepEqual(codes(ask(solidsPacked, sandy(3), dense)), ['stop solids-packed']);
  assert.match(ask(solidsPacked, sandy(3), dense)[0]!.says, /Sand is 6\d(\.\d)? % grains, and resin wets up to 60 %/);
});

test('a pour without white has no window for it', () => {
  const bare = { ...panel, coats: panel.coats.filter((c) => c.kind !== 'wave') };
  const [batch] = plan(bare).pours[0]!.batches;
  assert.deepEqual([batch!.windows.white, batch!.windows.whiteBest], [undefined, undefined]);
  assert.ok(plan().pours[0]!.batches[0]!.windows.white);
});

test('several pieces in one session: a white the others hold up is said, with the piece it is on', () => {
  const slow = { ...method, batches: 'one a resin' as const };
  const quick = { ...means, method: slow, resins: [{ ...film, workingMin: 30, gelMin: 150 }] };
  const of = (n: number) =>
    planner.together(
      Array.from({ length: n }, (_, i) => ({ plan: planner.plan({ ...panel, id: `p${i}`, name: `Panel ${i + 1}` }, quick), pour: 0 })),
      quick,
    );
  const found = sessionAdvice(of(4), quick, metric);
  const late = found.filter((f) => f.code === 'white-off-window');
  assert.ok(late.length > 0);
  assert.match(late[0]!.says, /^The white of Panel \d is planned at \d+ min; its window is \d+–\d+ min\.$/);
  assert.match(late[0]!.fix, /Or pour Panel \d in a session of its own/);
  const two = [0, 1].map((i) => ({ plan: planner.plan({ ...panel, id: `p${i}` }, means), pour: 0 }));
  quiet(sessionAdvice(planner.together(two, means), means, metric).filter((f) => f.severity !== 'note'));
});
