import { Airs } from '#core/cure';
import type { Studio } from '#core/document';
import { lessonsOf, observationsOf, photosOf, sayLesson } from '#core/learn';
import { readSession } from '#core/record';
import { writesIn } from '#core/units';
import type { Asked } from './means';
import { r } from './rounded';

/** What the studio's finished pours say of its own figures, but for those of the rehearsal, which have to be played. */
export function logReport(studio: Studio, { zone, planner }: Pick<Asked, 'zone' | 'planner'>) {
  const { pours, photos = [], learned = [], air = [], method, resins, colourants, settings } = studio;
  const airs = new Airs(zone, air);
  const write = writesIn(settings);
  const observations = pours.flatMap((pour) =>
    observationsOf({ session: readSession(pour), ...photosOf(pour, photos, pours), planner, airs }),
  );
  return {
    pours: pours.length,
    photos: photos.length,
    teaches: lessonsOf(observations, { method, resins, colourants }, learned).map((l) => ({
      figure: l.figure,
      ...(l.of !== undefined && { of: l.of }),
      pours: l.pours,
      value: r(l.value),
      spread: r(l.spread),
      plannedWith: r(l.now),
      says: sayLesson(l, write),
    })),
  };
}
