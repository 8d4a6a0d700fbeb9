import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Figure, Learned } from '#core/document';
import { figureName, figureNow, lessonsOf, sayLearned, sayLesson, withFigure, writeFigure, type Lesson } from '#core/learn';
import { empty, metric, method, resin, us } from '../../factories';

const standing = { method, resins: empty.resins, colourants: empty.colourants };
const [blue] = empty.colourants;
const figures: readonly [Figure, string?][] = [
  ['drip rate'],
  ['cup loss'],
  ['spare'],
  ['laying rate'],
  ['minutes to colour a cup'],
  ['minutes to lay a cup'],
  ['minutes of a heat pass'],
  ['working time', resin.id],
  ['viscosity', resin.id],
  ['white of the foam'],
  ['white lost'],
  ['drift'],
  ['recoat', resin.id],
  ['strength', blue!.id],
  ['foam drag'],
  ['foam born'],
  ['foam growth'],
  ['foam wall'],
];

/** What some pours say that all saw the same. */
function lessonFrom(figure: Figure, of: string | undefined, value: number, pours: number): Lesson {
  const ratio = figure === 'spare' ? 1 + value : value;
  const [lesson] = lessonsOf(
    Array.from({ length: pours }, (_, i) => ({ figure, ...(of !== undefined && { of }), pourId: `p${i}`, at: i, value: ratio })),
    standing,
  );
  return lesson!;
}

for (const [figure, of] of figures)
  test(`${figure}: named, written in either units, proposed within its bounds, and said plainly for one pour, two and many`, () => {
    const now = figureNow(figure, of, standing)!;
    assert.ok(now >= 0);
    for (const write of [metric, us]) {
      assert.ok(writeFigure(figure, now, write).length > 0 && !/NaN|undefined|Infinity/.test(writeFigure(figure, now, write)));
      assert.match(figureName(figure, of && 'Slow coating'), of ? /, Slow coating$/ : /^[A-Z]/);
      for (const pours of [1, 2, 3, 9]) {
        const says = sayLesson(lessonFrom(figure, of, 1.4 * now + 0.01, pours), write);
        assert.ok(!/NaN|undefined|Infinity|e-\d/.test(says), says);
        assert.match(says, pours < 3 ? /so far/ : new RegExp(`^${pours} pours say .* ± .*; you plan with`));
      }
    }
    for (const far of [0.02, 50]) {
      const lesson = lessonFrom(figure, of, far * Math.max(0.01, now), 6);
      const taken = withFigure(figure, of, lesson.proposed, standing)!;
      assert.ok(Number.isFinite(lesson.proposed) && lesson.spread >= 0);
      assert.ok(taken.row !== undefined);
    }
  });

test('in US units nothing is told in millimetres, millilitres or degrees Celsius', () => {
  for (const [figure, of] of figures) {
    const says = sayLesson(lessonFrom(figure, of, 1.4 * figureNow(figure, of, standing)! + 0.01, 5), us);
    assert.ok(!/\b(mm|ml|°C)\b/.test(says), says);
  }
});

test('a figure that belongs to something that is gone is not proposed, and one that is as planned says so', () => {
  assert.deepEqual(
    lessonsOf(
      [1, 2, 3].map((i) => ({ figure: 'viscosity', of: 'gone', pourId: `p${i}`, at: i, value: 1 })),
      standing,
    ),
    [],
  );
  assert.match(sayLesson(lessonFrom('drip rate', undefined, method.dripPerM, 5), metric), /That is as you plan\.$/);
  assert.match(sayLesson(lessonFrom('spare', undefined, 0.1, 5), metric), /covers nine pours of ten\.$/);
});

test('where a figure came from is said with how many pours, how sure, and what it was', () => {
  const learned: Learned = { id: 'l', figure: 'laying rate', was: 100, value: 62, spread: 14, pours: 8, at: '2026-11-28T10:00:00Z' };
  assert.equal(sayLearned(learned, metric), 'From 8 pours of your own, ± 14 ml a minute; it was 100 ml a minute.');
  assert.match(sayLearned(learned, us), /fl oz a minute/);
});
