import { expose } from 'comlink';
import type { Photo, Pour } from '#core/document';
import { Airs } from '#core/cure';
import {
  foamSeen,
  lessonsOf,
  observationsOf,
  photosOf,
  rehearsedAndRead,
  RUNS,
  type Lesson,
  type Looked,
  type Observation,
} from '#core/learn';
import { seedOf } from '#core/geometry';
import { Planner } from '#core/plan';
import { readSession } from '#core/record';
import { readStudio } from '../store/studio';
import { zone } from '../zone';
import { keepSeen, keptSeen } from './learn-shelf';
import type { Progress } from './task';

/** What a board's foam says depends on what was poured and on what was read. */
const keyOf = (pour: Pour, photo: Photo): string => {
  const text = JSON.stringify([pour.planned, photo.reading]);
  return `1-${pour.id}-${photo.id}-${seedOf(text).toString(36)}${seedOf(`~${text}`).toString(36)}`;
};

/** What boards that were poured as they were rehearsed say of the rehearsal. */
async function ofFoam(looked: Looked, told: Progress): Promise<Observation[]> {
  const { pour, done, started } = looked.session;
  if (done === undefined) return [];
  const all: Observation[] = [];
  for (const { plan, wave, photo } of rehearsedAndRead(looked)) {
    const key = keyOf(pour, photo);
    let seen = await keptSeen(key);
    if (!seen) {
      let runs = 0;
      const found = foamSeen(plan, wave, photo.reading!, () => told(`Playing the rehearsal of ${plan.piece.name} again`, ++runs / RUNS));
      seen = found.map((s) => ({ ...s, pourId: pour.id, at: started }));
      await keepSeen(key, seen);
    }
    all.push(...seen);
  }
  return all;
}

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
    for (const [i, pour] of pours.entries()) {
      told('Looking at each pour', (i + 1) / pours.length);
      const looked = { session: readSession(pour), ...photosOf(pour, photos, pours), planner, airs };
      observations.push(...observationsOf(looked), ...(await ofFoam(looked, told)));
    }
    return lessonsOf(observations, { method, resins, colourants }, learned);
  },
};
export type LearnWorkOf = typeof work;

expose(work);
