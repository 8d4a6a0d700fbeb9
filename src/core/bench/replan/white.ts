import { stepKey, type Told, type ToldStep } from '#core/document';
import { stepsLeft } from '#core/record';
import { writeDuration } from '#core/units';
import type { Bench } from '../bench';
import { MINUTE, sinceMixed } from '../minutes';
import { retimed } from '../retime';
import { freshWhite, LAYS_WAVE, needs } from './fresh-white';
import { leaveSays, putOff } from './put-off';
import { changesOf, isOf, planned, without, type Look, type Saying, type Way } from './way';

/** A white still to be laid, at a minute of its batch, with the span in which it may be. */
interface Waiting {
  step: ToldStep;
  since: number;
  span: { from: number; until: number };
  heatUntil: number;
}

/** Whites still to be laid out of mixings that are made. */
function waiting(bench: Bench): Waiting[] {
  return stepsLeft(bench.session).flatMap((step) => {
    const since = sinceMixed(bench, step.batch);
    const windows = bench.clocks[step.batch]?.windows;
    if (step.id.does !== 'white' || since === undefined || !windows?.white) return [];
    return [{ step, since, span: windows.white, heatUntil: filmUntil(bench, step) ?? windows.heatUntil }];
  });
}

/** When the film the wave lies on no longer moves, in minutes of the white's own batch. */
function filmUntil(bench: Bench, white: ToldStep): number | undefined {
  const { session, clocks } = bench;
  const film = session.told.steps.findLast(
    (s) => s.id.piece === white.id.piece && s.id.does === 'pour' && s.id.role !== 'thread' && session.doneAt.has(stepKey(s.id)),
  );
  if (!film || film.batch === white.batch) return undefined;
  const [own, other] = [session.mixedAt.get(white.batch), session.mixedAt.get(film.batch)];
  const until = clocks[film.batch]?.windows.heatUntil;
  return own === undefined || other === undefined || until === undefined ? undefined : until + (other - own) / MINUTE;
}

/** Names of the boards, where there are several pieces. */
const boards = ({ session }: Bench, steps: ToldStep[]): string =>
  session.pour.planned.pieces.length > 1 ? ` of ${[...new Set(steps.flatMap((s) => s.boards.map((b) => b.name)))].join(' and ')}` : '';

const WAVE = new Set<ToldStep['id']['does']>([...LAYS_WAVE, 'rest', 'flick', 'heat', 'push']);

/** The waves of several boards put off, as one way. */
function allPutOff(bench: Bench, steps: ToldStep[], said: Saying): Way {
  const ways: Way[] = [];
  let at = bench;
  for (const step of steps) {
    const next = putOff(at, step.id, said);
    ways.push(next);
    if (next.happening.kind === 'replanned') at = { ...at, session: { ...at.session, told: next.happening.told } };
  }
  const last = ways.at(-1)!;
  if (ways.length === 1 || last.happening.kind !== 'replanned') return last;
  const does = leaveSays([...new Set(steps.flatMap((s) => s.boards.map((b) => b.name)))]);
  return {
    ...last,
    does,
    costs: [...new Set(ways.flatMap((w) => w.costs.filter((c) => !/ at the bench$/.test(c))))],
    changes: changesOf(bench, last.happening.told, said),
    happening: { ...last.happening, why: does },
  };
}

/** The sea left without its wave. */
const plainSea = (bench: Bench, steps: ToldStep[], said: Saying): Way =>
  planned(
    bench,
    without(bench, (s) => WAVE.has(s.id.does) && steps.some((w) => isOf(s, w.id))),
    {
      does: 'Leave it without white, and finish the sea.',
      why: 'Deep to shore stands by itself; a wave can come with the next coat.',
      costs: [],
    },
    said,
  );

/** The white as it is, laid all the same. */
const allTheSame = (name: string, until: number): Way => ({
  does: 'Lay it now all the same, and give it one pass.',
  why: 'It stays where it is laid, as a bright line: it hardly thins out, and few cells open.',
  changes: [],
  costs: ['A line in the place of lace'],
  by: until,
  happening: { kind: 'refused', plan: name },
});

/** A white that was not laid while it could be. */
export const whitePast: Look = (bench, said) => {
  const all = waiting(bench).filter(({ since, span }) => span.until > span.from && since > span.until);
  const [found] = all;
  if (!found) return undefined;
  const { step, since, span, heatUntil } = found;
  // those that were to have the same white are past with it
  const steps = all.filter((w) => w.step.batch === step.batch).map((w) => w.step);
  const name = `white past ${stepKey(step.id)}`;
  const ago = Math.round(since - span.until);
  const still = heatUntil - since;
  const fresh = freshWhite(bench, steps, still - steps.length * needs(bench, step), said);
  const same = still > 0 ? [allTheSame(name, bench.now + still * MINUTE)] : [];
  const off = allPutOff(bench, steps, said);
  const plain = plainSea(bench, steps, said);
  const [first, ...others] = fresh ? [fresh, ...same, off, plain] : [off, ...same, plain];
  return {
    name,
    says: `The white${boards(bench, steps)} is past its window${ago >= 1 ? `, by ${writeDuration(ago).replaceAll(' ', '\u00a0')}` : ''}.`,
    why:
      still > 0
        ? `It has grown too thick to thin out. The film below can still be moved for ${Math.max(1, Math.round(still))} min.`
        : 'It has grown too thick to thin out, and the film below it no longer moves.',
    urgent: true,
    ways: [first!, ...others],
  };
};

/** Whites that a plan lays after their window, of those that wait. */
function tooLate(bench: Bench, told: Told): Waiting[] {
  const ahead = retimed(told, bench);
  return waiting(bench).filter(({ step, since, span }) => {
    const next = ahead.steps.find((s) => stepKey(s.id) === stepKey(step.id));
    return next !== undefined && span.until > span.from && since <= span.until && next.at - next.mixedAt > span.until + 0.5;
  });
}

/** A plan with the wave of one white before all that can wait for it: its own films come before it whatever the hour. */
function waveFirst({ session }: Bench, step: ToldStep): Told {
  const left = new Set(stepsLeft(session).map((s) => stepKey(s.id)));
  const coming = session.told.steps.filter((s) => left.has(stepKey(s.id)));
  const must = coming.filter((s) => s.id.piece === step.id.piece && s.id.does === 'pour' && coming.indexOf(s) < coming.indexOf(step));
  const first = [...must, ...coming.filter((s) => LAYS_WAVE.has(s.id.does) && isOf(s, step.id))];
  const done = session.told.steps.filter((s) => !left.has(stepKey(s.id)));
  return { ...session.told, steps: [...done, ...first, ...coming.filter((s) => !first.includes(s))] };
}

/** A pace at which a white will not be laid while it can be. */
export const whiteLate: Look = (bench, said) => {
  const { session } = bench;
  const late = tooLate(bench, session.told);
  const [found] = late;
  if (!found) return undefined;
  const { step, since, span, heatUntil } = found;
  const by = bench.now + (span.until - since) * MINUTE;
  const ways: Way[] = [];
  const moved = waveFirst(bench, step);
  const still = tooLate(bench, moved).map((w) => w.step);
  if (!still.includes(step))
    ways.push(
      planned(
        bench,
        moved,
        {
          does: `Lay the white${boards(bench, [step])} before the rest.`,
          why: 'What comes after it can wait; its white cannot.',
          costs: still.length ? [`The white${boards(bench, still)} then comes too late`] : [],
          by,
        },
        said,
      ),
    );
  const steps = late.filter((w) => w.step.batch === step.batch).map((w) => w.step);
  const fresh = freshWhite(bench, steps, heatUntil - since - steps.length * needs(bench, step), said);
  if (fresh) ways.push(fresh);
  ways.push(allPutOff(bench, steps, said), plainSea(bench, steps, said));
  const next = retimed(session.told, bench).steps.find((s) => stepKey(s.id) === stepKey(step.id))!;
  return {
    name: `white late ${stepKey(step.id)}`,
    says: `At this pace the white${boards(bench, steps)} comes too late.`,
    why: `It would be laid at ${said.time(bench.now + (next.at - next.mixedAt - since) * MINUTE)}; its window closes at ${said.time(by)}.`,
    urgent: true,
    ways: [ways[0]!, ...ways.slice(1)],
  };
};
