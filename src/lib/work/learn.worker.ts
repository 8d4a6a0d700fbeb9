import { expose } from 'comlink';
import { Airs } from '#core/cure';
import { lessonsOf, observationsOf, photosOf, type Lesson, type Observation } from '#core/learn';
import { Planner } from '#core/plan';
import { readSession } from '#core/record';
import { readStudio } from '../store/studio';
import { zone } from '../zone';
import type { Progress } from './task';

const work = {
  /** What every finished pour says of the studio's figures. It reads the studio itself: a log is long. */
  async lessons(told: Progress): Promise<Lesson[]> {
    told('Reading the log', 0);
    const studio = await readStudio();
    if (!studio) return [];
    const { pours, photos = [], learned = [], air = [], method, resins, colourants } = studio;
    const planner = new Planner();
    const airs = new Airs(zone, air);
    const observations: Observation[] = [];
    pours.forEach((pour, i) => {
      told('Looking at each pour', (i + 1) / pours.length);
      observations.push(...observationsOf({ session: readSession(pour), ...photosOf(pour, photos, pours), planner, airs }));
    });
    return lessonsOf(observations, { method, resins, colourants }, learned);
  },
};
export type LearnWorkOf = typeof work;

expose(work);
