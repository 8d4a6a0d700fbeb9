import { advise, type Finding } from '#core/advice';
import { vesselsOf } from '#core/craft';
import { openStudio, writeStudio, type Piece, type Studio, type Told } from '#core/document';
import { writeCups } from '#core/formats';
import { sectionOf, type PiecePlan } from '#core/plan';
import { say, tell, type Words } from '#core/pour';
import { sayWork, workAfter, workBefore } from '#core/prepare';
import { pieceReport } from '#core/report';
import { takenByPour, type Taken } from '#core/stock';
import { empty, marked, means, metric, planner, us, usMarked, utc } from './factories';
import { unreal } from './nasty/unreal';

/** The ways a studio writes what it is told. */
export const written = { metric, marked, us, usMarked } as const;

/** A piece followed to the end of everything that is said of it: section, steps, cups as a file, shelf and command line. */
export interface Followed {
  plan: PiecePlan;
  /** Pour by pour, and what each step says in one way of writing. */
  told: Told[];
  says: Words[];
  /** All of the words and figures as one text. */
  text: string;
  taken: Taken[];
  findings: Finding[];
}

export function followed(p: Piece, way: keyof typeof written = 'metric', change: Partial<Studio> = {}): Followed {
  const write = written[way];
  const studio: Studio = { ...empty, ...change, settings: { ...empty.settings, ...write.units }, pieces: [p] };
  const opened = openStudio(writeStudio(studio));
  if (!opened.ok) throw new Error(JSON.stringify(opened.problems[0]));
  const plan = planner.plan(p, { ...means, resins: studio.resins, colourants: studio.colourants, method: studio.method });
  const together = plan.pours.map((_, pour) => planner.together([{ plan, pour }], plan.means));
  const told = together.map((t) => tell(t, 23));
  const says = told.flatMap((t) => t.steps.map((step) => say(step, t, write)));
  const work = [...workBefore(p, means.method), ...workAfter(p, means.method)].map((w) => sayWork(w, p, write));
  const findings = advise({ plan, write });
  const { width, height } = plan.bounds;
  const section = sectionOf(plan, { x: width / 2, y: height }, { x: width / 2 - 5, y: 0 });
  const report = pieceReport(p, studio, { now: Date.parse('2026-11-25T13:36:00Z'), zone: utc, planner });
  const csv = together.map((t) => writeCups(t, vesselsOf(studio), write));
  const wrong = [...unreal(report), ...unreal(told), ...unreal({ height: section.height, tops: section.layers.map((l) => [...l.top]) })];
  return {
    plan,
    told,
    says,
    findings,
    taken: plan.pours.flatMap(takenByPour),
    text: [JSON.stringify([says, work, findings]), ...csv, JSON.stringify(report), ...wrong.map((w) => `wrong: ${w}`)].join('\n'),
  };
}

/** What no text of any piece may hold: a figure that is none, a word that is missing, markup of ours. */
export const amiss = ({ text }: Followed): string[] =>
  [/wrong: .*/g, /undefined/g, /NaN/g, /Infinity/g, /\[object/g, / {2,}[a-z]/g].flatMap((p) => text.match(p) ?? []);
