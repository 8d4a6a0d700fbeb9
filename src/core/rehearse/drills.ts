import type { Figures } from '#core/foam';
import { fixed, type Writes } from '#core/units';
import type { Same } from './beside';
import type { Hand, Setup } from './setup';

/** What a hand can practise. */
export type DrillName = 'even reach' | 'no scorch' | 'cells of a size' | 'stop in time' | 'too much white';

/** Something to practise on a stretch of the wave's own shore: how it begins, and what is wanted of it. */
export interface Drill {
  name: DrillName;
  title: string;
  asks: (write: Writes) => string;
  setup: Setup;
  hand: Hand;
  scores: (f: Figures) => Scored;
}

/** How a drill came out: 0 to 100 by its figures, what they were, and what to do differently. */
export interface Scored {
  score: number;
  says: (write: Writes) => string;
  next: string;
}

/** Air on, at most so long, s; and real time for all of it, s. */
export const DRILL = { air: 60, seconds: 150 } as const;

const percent = (share: number): string => `${fixed(100 * share, 0)} %`;
/** 1 where a figure is as wanted, falling to 0 at so far off. */
const near = (off: number, gone: number): number => Math.max(0, 1 - Math.abs(off) / gone);
const whole = (parts: readonly [number, number][]): number =>
  Math.round((100 * parts.reduce((sum, [part, weight]) => sum + part * weight, 0)) / parts.reduce((sum, [, weight]) => sum + weight, 0));

/** A tenth of the reach may be missed before it counts. */
const MISSED = 0.1;
/** Where the reach should be, and how the hand corrects it. */
function reachNext(f: Figures, wanted: number): string | undefined {
  const off = f.toSea.middle / wanted - 1;
  if (off < -MISSED) return 'Hold the air longer at each place and push on further: white that is not warm does not go.';
  if (off > MISSED) return 'Lift the air sooner: stop short of where the white should end, for it creeps on.';
  return undefined;
}

/** White that is too thick to open, as so many times what the reach takes. */
const TOO_MUCH = 3;
/** A skin so hot begins to yellow; it should stay well below, °C. */
const [COOL, HOT] = [90, 150];
/** Cells that are looked for, mm across. */
const SIZE = 1.2;

/** The drills of a wave. @param reach wanted out to sea, mm */
export function drillsOf({ setup, hand }: Same, reach: number): Drill[] {
  const drill = (name: DrillName, title: string, rest: Omit<Drill, 'name' | 'title' | 'setup' | 'hand'> & Partial<Drill>): Drill => ({
    setup,
    hand,
    ...rest,
    name,
    title,
  });
  return [
    drill('even reach', 'An even reach', {
      asks: (write) => `Push the white ${write.length(reach)} out to sea, and equally far everywhere.`,
      scores: (f) => {
        const uneven = f.toSea.most - f.toSea.middle;
        const allowed = 0.3 * reach;
        return {
          score: whole([
            [near(f.toSea.middle / reach - 1, 0.6), 3],
            [near(Math.max(0, uneven - allowed / 2), 1.5 * allowed), 2],
          ]),
          says: (write) => `It reaches ${write.length(f.toSea.middle)}, in places ${write.length(f.toSea.most)}.`,
          next:
            reachNext(f, reach) ??
            (uneven > allowed ? 'Give every stroke the same time and the same end: count as you push.' : 'That is it. Try it faster.'),
        };
      },
    }),
    drill('no scorch', 'No scorch with a hot gun', {
      hand: { ...hand, tool: 'gun', distance: 45 },
      asks: (write) =>
        `The gun is hot and near. Push the white ${write.length(0.6 * reach)} out, and keep the skin under ${write.temperature(COOL, 0)}.`,
      scores: (f) => ({
        score:
          f.scorched > 1
            ? 0
            : whole([
                [near(Math.max(0, f.hottest - COOL), HOT - COOL), 3],
                [Math.min(1, f.toSea.middle / (0.6 * reach)), 2],
              ]),
        says: (write) =>
          `The hottest skin was ${write.temperature(f.hottest, 0)}${f.scorched > 1 ? `, and ${write.area(f.scorched)} scorched` : ', and nothing scorched'}; it reaches ${write.length(f.toSea.middle)}.`,
        next:
          f.hottest > COOL
            ? 'Never stop over a place: keep the gun moving, and come back when it has cooled.'
            : f.toSea.middle < 0.6 * reach
              ? 'It stays cool enough: you can go slower.'
              : 'That is it. Hold it nearer, and try again.',
      }),
    }),
    drill('cells of a size', 'Cells of a size', {
      asks: (write) => `Open cells of about ${write.fine(SIZE, 1)} across, and many of them.`,
      scores: (f) => {
        const off = f.diameters.middle > 0 ? Math.log(f.diameters.middle / SIZE) : -2;
        return {
          score: whole([
            [near(off, 1), 3],
            [Math.min(1, f.perCm2 / 6), 2],
          ]),
          says: (write) => `Cells are ${write.fine(f.diameters.middle, 1)} across in the middle, ${fixed(f.perCm2, 1)} a cm².`,
          next:
            f.perCm2 < 3
              ? 'Thick white does not open: push it thinner, and let it rest.'
              : off < -0.25
                ? 'They are small: warm them once more and lift off, and they grow while they are warm.'
                : off > 0.25
                  ? 'They are large: less heat, or fewer passes.'
                  : 'That is it.',
        };
      },
    }),
    drill('stop in time', 'Stop in time', {
      asks: (write) => `Make as many passes as it needs to reach ${write.length(reach)}, and stop before the white goes into the blue.`,
      scores: (f) => ({
        score: whole([
          [Math.min(1, f.toSea.middle / reach) * near(Math.max(0, f.toSea.middle / reach - 1.2), 1), 2],
          [near(Math.max(0, f.mist - 0.02), 0.15), 2],
          [Math.min(1, f.open / 0.2), 1],
        ]),
        says: (write) =>
          `It reaches ${write.length(f.toSea.middle)}; ${percent(f.mist)} of the white is mist, ${percent(f.open)} of the foam is open.`,
        next:
          f.mist > 0.05
            ? 'You went on too long: the last pass stirred white into the blue. Stop while it still looks unfinished.'
            : f.toSea.middle < (1 - MISSED) * reach
              ? 'You stopped early: one more pass would still have carried it.'
              : 'That is it: it goes on opening by itself.',
      }),
    }),
    drill('too much white', 'Too much white', {
      setup: { ...setup, ml: TOO_MUCH * setup.ml },
      asks: () => `${TOO_MUCH} times too much white went down. Thin it out and open it before it sets.`,
      scores: (f) => ({
        score: whole([
          [Math.min(1, f.open / 0.2), 3],
          [near(Math.max(0, f.mist - 0.05), 0.25), 1],
          [near(Math.max(0, f.toSea.middle / reach - 2), 1), 1],
        ]),
        says: (write) =>
          `${percent(f.open)} of the foam is open, it reaches ${write.length(f.toSea.middle)}, and ${percent(f.mist)} of it is mist.`,
        next:
          f.open < 0.12
            ? 'Begin at its seaward edge and take it out in thin sheets; a thick bead never opens.'
            : f.mist > 0.1
              ? 'Gentler: hard air stirs thick white into the blue. Hold the tool further off.'
              : 'That is it. On the board a cloth along the edge takes the rest.',
      }),
    }),
  ];
}
