import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Learned, Pour } from '#core/document';
import { figureNow, learnedOf, lessonsOf, observationsOf, sayLearned, sayLesson, withFigure, worthTaking, type Lesson } from '#core/learn';
import { seeded } from '#core/geometry';
import { readSession } from '#core/record';
import { near } from '../help';
import { airs, empty, metric, method, piece, planner, pourOf, resin, us, type Said } from '../../factories';

const standing = { method, resins: empty.resins, colourants: empty.colourants };
const panel = piece();

/** True rates of a made-up studio. */
interface Truth {
  drip: number;
  stuck: number;
  laying: number;
  pass: number;
  dry: number;
}

const bell = (chance: () => number): number => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
/** A rate as it comes out in one pour. */
const once = (rate: number, spread: number, chance: () => number): number => rate * Math.exp(spread * bell(chance));

/** Open rim of the panel's film coats: its outline once for the base that runs over and once for each further film. */
const metres = (() => {
  const found = observed(
    pourOf(panel, '2026-11-01T10:00:00Z', [
      [0, { kind: 'mixed', batch: 0 }],
      [60, { kind: 'done' }],
      [70, { kind: 'found', what: 'drips', value: 110, piece: panel.id }],
    ]),
  ).find((o) => o.figure === 'drip rate')!;
  return 110 / densityOf() / found.value;
})();

function densityOf(): number {
  const { a, b } = resin.ratio;
  return (a * resin.densityA + b * resin.densityB) / (a + b);
}

function observed(pour: Pour) {
  return observationsOf({ session: readSession(pour), photos: [], later: [], planner, airs });
}

/** A pour as a studio with such rates would pour it. */
function poured(truth: Truth, number: number, chance: () => number): Pour {
  const bare = pourOf(panel, '2026-11-01T10:00:00Z', []);
  const told = bare.told!;
  const said: [number, Said][] = [[0, { kind: 'mixed', batch: 0 }]];
  let at = 6;
  told.steps.forEach((step, i) => {
    if (step.id.does === 'mix') return;
    const ml = step.uses.reduce((sum, u) => sum + u.ml, 0);
    const before = told.steps[i - 1]!;
    if (step.id.does === 'heat') {
      said.push([at, { kind: 'heat on' }]);
      at += once(truth.pass, 0.25, chance);
    } else if (step.id.does === 'pour' && before.id.does === 'pour') at += method.layMinPerCup + ml / once(truth.laying, 0.3, chance);
    else at += Math.max(0.3, step.at - before.at);
    said.push([at, { kind: 'did', step: step.id }]);
  });
  said.push([at + 1, { kind: 'done' }]);
  said.push([at + 60, { kind: 'found', what: 'drips', value: once(truth.drip, 0.25, chance) * metres * densityOf(), piece: panel.id }]);
  const cup = told.cups.find((c) => c.id.role === 'tint')!;
  const stuck = once(truth.stuck, 0.35, chance) + method.cupShare * cup.ml;
  said.push([at + 2, { kind: 'found', what: 'stuck', value: stuck * densityOf(), cup: cup.id }]);
  // its room is at its day's temperature all day in these tests, so that hours and ages go by the same rate
  said.push([at + 600, { kind: 'found', what: 'dry', value: once(truth.dry, 0.15, chance), piece: panel.id }]);
  return { ...pourOf(panel, `2026-11-${String(1 + number).padStart(2, '0')}T10:00:00Z`, said), id: `pour-${number}` };
}

const found = (lessons: Lesson[], figure: Lesson['figure']): Lesson => lessons.find((l) => l.figure === figure)!;

test('of a hundred studios the true rates lie within the stated spread in ninety or more', () => {
  const within = { 'drip rate': 0, 'cup loss': 0, 'laying rate': 0, 'minutes of a heat pass': 0 };
  const closer = { 'drip rate': 0, 'cup loss': 0, 'laying rate': 0, 'minutes of a heat pass': 0 };
  for (let studio = 0; studio < 100; studio++) {
    const chance = seeded(7000 + studio);
    const truth: Truth = {
      drip: once(method.dripPerM, 0.4, chance),
      stuck: once(method.cupStays, 0.4, chance),
      laying: once(method.layMlPerMin!, 0.4, chance),
      pass: once(method.heatMinPerPass, 0.4, chance),
      dry: 6,
    };
    const pours = 4 + Math.floor(7 * chance());
    const observations = Array.from({ length: pours }, (_, i) => observed(poured(truth, i, chance))).flat();
    const lessons = lessonsOf(observations, standing);
    const truths = {
      'drip rate': truth.drip,
      'cup loss': truth.stuck,
      'laying rate': truth.laying,
      'minutes of a heat pass': truth.pass,
    } as const;
    for (const figure of Object.keys(within) as (keyof typeof within)[]) {
      const lesson = found(lessons, figure);
      assert.ok(lesson.pours + lesson.slips <= pours && lesson.pours >= 1, figure);
      if (Math.abs(truths[figure] - lesson.value) <= lesson.spread) within[figure]++;
      if (Math.abs(truths[figure] - lesson.value) < Math.abs(truths[figure] - lesson.trade)) closer[figure]++;
    }
  }
  for (const [figure, n] of Object.entries(within)) assert.ok(n >= 90, `${figure}: ${n} of 100`);
  // and what is learned is worth it: nearer than the trade's figure in most studios
  for (const [figure, n] of Object.entries(closer)) assert.ok(n >= 75, `${figure}: nearer in ${n}`);
});

test('one pour teaches nothing and says so; from three on a figure is proposed, and the nearer to the trade the fewer they are', () => {
  const drips = (n: number) => Array.from({ length: n }, (_, i) => ({ figure: 'drip rate' as const, pourId: `p${i}`, at: i, value: 3 }));
  const lesson = (n: number): Lesson => lessonsOf(drips(n), standing)[0]!;
  assert.equal(sayLesson(lesson(1), metric), '1 pour so far; nothing is learned from one. You plan with 6 ml a metre.');
  assert.match(sayLesson(lesson(2), metric), /^2 pours so far; from 3 on they say something/);
  assert.ok(!worthTaking(lesson(1)) && !worthTaking(lesson(2)) && worthTaking(lesson(3)));
  assert.ok(lesson(3).value > lesson(12).value && lesson(12).value > 3);
  assert.match(sayLesson(lesson(12), metric), /^12 pours say 3(\.\d)? ml a metre, ± 0\.\d+ ml a metre; you plan with 6 ml a metre\.$/);
  assert.match(sayLesson(lesson(12), us), /fl oz a foot/);
});

test('one spill among seven pours is left out and said', () => {
  const values = [5, 5.4, 4.8, 5.2, 5.1, 4.9, 40];
  const [lesson] = lessonsOf(
    values.map((value, i) => ({ figure: 'drip rate', pourId: `p${i}`, at: i, value })),
    standing,
  );
  assert.equal(lesson!.slips, 1);
  near(lesson!.value, 5.1, 0.3);
  assert.match(sayLesson(lesson!, metric), /^6 pours say .* One that strayed far is left out\./);
});

test('a spare covers nine pours of ten, not the middle one', () => {
  const ratios = [1.0, 1.02, 1.04, 1.06, 1.08, 1.1, 1.05, 1.03];
  const [lesson] = lessonsOf(
    ratios.map((value, i) => ({ figure: 'spare', pourId: `p${i}`, at: i, value })),
    standing,
  );
  near(lesson!.value, 0.048, 0.01);
  assert.ok(lesson!.proposed > 0.08 && lesson!.proposed < 0.14, String(lesson!.proposed));
});

test('what is taken over stands in the studio, says where it came from, and what the trade held stays what it is held toward', () => {
  const observations = [30, 31, 29, 30].map((value, i) => ({
    figure: 'working time' as const,
    of: resin.id,
    pourId: `p${i}`,
    at: i,
    value,
  }));
  const [lesson] = lessonsOf(observations, standing);
  const taken = withFigure(lesson!.figure, lesson!.of, lesson!.proposed, standing);
  assert.ok(taken?.table === 'resins');
  assert.equal(taken.row.workingMin, lesson!.proposed);
  near(taken.row.gelMin / taken.row.workingMin, resin.gelMin / resin.workingMin, 1e-9);
  const learned: Learned = learnedOf(lesson!, 'learned-1', '2026-11-28T10:00:00Z');
  assert.match(sayLearned(learned, metric), /^From 4 pours of your own, ± .* min; it was 45 min\.$/);
  const after = { ...standing, resins: [taken.row] };
  const [again] = lessonsOf(observations, after, [learned]);
  assert.equal(again!.trade, resin.workingMin);
  near(again!.value, lesson!.value, 1e-9);
  assert.ok(!worthTaking(again!), 'it is as planned now');
  assert.equal(figureNow('working time', 'gone', standing), undefined);
});

test('every figure can be taken over, within its bounds, and is then what the studio plans with', () => {
  const figures = [
    'drip rate',
    'cup loss',
    'spare',
    'laying rate',
    'minutes to colour a cup',
    'minutes to lay a cup',
    'minutes of a heat pass',
    'white of the foam',
    'white lost',
    'drift',
    'foam drag',
    'foam born',
    'foam growth',
    'foam wall',
  ] as const;
  for (const figure of figures) {
    const now = figureNow(figure, undefined, standing)!;
    const taken = withFigure(figure, undefined, now * 1.1, standing);
    assert.ok(taken?.table === 'method', figure);
    near(figureNow(figure, undefined, { ...standing, method: taken.row })!, now * 1.1, 1e-9);
    const most = withFigure(figure, undefined, 1e9, standing);
    assert.ok(most?.table === 'method' && figureNow(figure, undefined, { ...standing, method: most.row })! < 1e6);
  }
  const blue = empty.colourants[0]!;
  const stronger = withFigure('strength', blue.id, 2, standing);
  assert.ok(stronger?.table === 'colourants');
  near(stronger.row.absorb[0], 2 * blue.absorb[0], 1e-9);
});

test('a cup gone thick early, a bead that ran far and a coat that dried late each speak of their resin', () => {
  const told = pourOf(panel, '2026-11-01T10:00:00Z', []).told!;
  const cup = told.cups.find((c) => c.id.role === 'tint')!;
  const seen = observed(
    pourOf(panel, '2026-11-01T10:00:00Z', [
      [0, { kind: 'mixed', batch: 0 }],
      [8, { kind: 'bead check', batch: 0, area: 20, angle: 30, run: 60, seconds: 60, celsius: 23 }],
      [20, { kind: 'cup lost', cup: cup.id, how: 'gone thick', ml: 20 }],
      [90, { kind: 'done' }],
      [800, { kind: 'found', what: 'dry', value: 12, piece: panel.id }],
    ]),
  );
  const of = (figure: string) => seen.find((o) => o.figure === figure)!;
  assert.ok(of('working time').value < resin.workingMin && of('working time').of === resin.id);
  assert.ok(of('viscosity').value > 0.3 && of('viscosity').value < 3);
  assert.ok(of('recoat').value > 5 && of('recoat').value < 14);
});

test('nothing is observed of a pour that is under way or was given up', () => {
  const drips: [number, Said] = [70, { kind: 'found', what: 'drips', value: 110, piece: panel.id }];
  assert.deepEqual(observed(pourOf(panel, '2026-11-01T10:00:00Z', [[0, { kind: 'mixed', batch: 0 }], drips])), []);
  assert.deepEqual(observed(pourOf(panel, '2026-11-01T10:00:00Z', [[0, { kind: 'abandoned', why: 'dust' }], drips])), []);
});
