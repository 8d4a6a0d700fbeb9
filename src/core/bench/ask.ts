import { cupKey, stepKey, type CupRef, type StepRef, type ToldCup, type ToldStep } from '#core/document';
import { thickeningRate, rate } from '#core/cure';
import { flowToTravel, secondsToFlow } from '#core/level';
import { mixedDensity } from '#core/mix';
import { stepsLeft, type Happening } from '#core/record';
import type { Bench } from './bench';
import { minuteOf, sinceMixed } from './minutes';
import { cupsNow, type CupNow } from './cups';
import { freshCup } from './fresh';

/** What can be asked for at the bench beside the step at hand, and what is recorded when it is. */

/** The same step once more: its identity with the next number that is free. */
function againOf(steps: ToldStep[], id: StepRef): StepRef {
  const { again: _, ...first } = id;
  const own = steps.filter((s) => {
    const { again: __, ...other } = s.id;
    return stepKey(other) === stepKey(first);
  });
  return { ...first, again: Math.max(0, ...own.map((s) => s.id.again ?? 0)) + 1 };
}

/** A step as it is put in now: nothing of the minutes it was told holds. */
const put = ({ session, now }: Bench, step: Omit<ToldStep, 'id'>, id: StepRef): ToldStep => {
  const at = Math.round(minuteOf(session, now) * 1000) / 1000;
  return { ...step, id: againOf(session.told.steps, id), at };
};

const added = ({ session }: Bench, steps: ToldStep[], more: Partial<Extract<Happening, { kind: 'added' }>> = {}): Happening => ({
  kind: 'added',
  steps,
  ...more,
  ...(session.current && { before: session.current.id }),
});

/** The step that was done last; one that ends the pour, or a mixing, is not done twice. */
function lastDone({ session }: Bench): ToldStep | undefined {
  const { told, doneAt } = session;
  return told.steps
    .filter((s) => doneAt.has(stepKey(s.id)) && !['mix', 'thin', 'cover', 'peel'].includes(s.id.does))
    .sort((a, b) => doneAt.get(stepKey(a.id))! - doneAt.get(stepKey(b.id))!)
    .at(-1);
}

/** The step done last once more, out of what its cups still hold; undefined before anything is done. */
export function repeat(bench: Bench): Happening | undefined {
  const last = lastDone(bench);
  if (!last) return undefined;
  const cups = cupsNow(bench.session);
  const uses = last.uses.map((use) => {
    const cup = cups.find((c) => c.key === cupKey(use.cup));
    const k = use.ml > 0 && cup ? Math.min(1, Math.max(0, cup.free - cup.wanted) / use.ml) : 0;
    return { ...use, ml: use.ml * k, boards: use.boards.map((b) => ({ ...b, ml: b.ml * k })) };
  });
  return added(bench, [put(bench, { ...last, uses }, last.id)]);
}

/** The step at hand left out; the end is not. */
export const skip = ({ session: { current, told } }: Bench): Happening | undefined =>
  current && current !== told.steps.at(-1) && current.id.does !== 'mix' ? { kind: 'skipped', step: current.id } : undefined;

/** The next step first, where it does not hang on the one at hand. */
export function swap({ session }: Bench): Happening | undefined {
  const [current, next] = stepsLeft(session);
  if (!current || !next || current.id.does === 'mix' || next.id.does === 'mix' || next.id.does === 'cover') return undefined;
  return session.mixedAt.has(next.batch) ? { kind: 'swapped', step: next.id, before: current.id } : undefined;
}

/** The told step that lays a cup, as it was told first. */
export const layingOf = ({ session }: Pick<Bench, 'session'>, key: string): ToldStep | undefined =>
  session.told.steps.find((s) => s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === key) && s.id.does !== 'stir');

/** So much of one cup on the boards of a step, shared out as that was. */
function useOf(step: ToldStep, of: CupRef, cup: ToldCup, ml: number): ToldStep['uses'] {
  const use = step.uses.find((u) => cupKey(u.cup) === cupKey(of)) ?? step.uses[0];
  const share = use && use.ml > 0 ? ml / use.ml : 0;
  return [{ cup: cup.id, ml, boards: (use?.boards ?? []).map((b) => ({ ...b, ml: b.ml * share })) }];
}

/** Less than this is not worth laying, ml. */
const LEAST = 1;

/** More of a cup where it was laid: what nothing else wants of it; where that is too little it is mixed anew. */
export function more(bench: Bench, { cup, key, free, wanted }: CupNow): Happening | undefined {
  const step = layingOf(bench, key);
  if (!step) return undefined;
  const ml = free - wanted;
  return ml >= LEAST ? added(bench, [put(bench, { ...step, uses: useOf(step, cup.id, cup, ml) }, step.id)]) : anew(bench, cup);
}

/** Some of a cup mixed anew, the least a studio mixes, and laid where that cup was. */
export function anew(bench: Bench, cup: ToldCup, wanted = 0): Happening | undefined {
  const step = layingOf(bench, cupKey(cup.id));
  const fresh = freshCup(bench, cup, wanted);
  if (!step || !fresh) return undefined;
  const own = { batch: fresh.mix.batch, mixedAt: fresh.mix.at };
  const lays = put(bench, { ...step, ...own, uses: useOf(step, cup.id, fresh.cup, fresh.cup.needed) }, step.id);
  return added(bench, [fresh.mix, lays], { cups: [fresh.cup], batches: [fresh.batch] });
}

/** A stir of a cup that stood. */
export const stir = (bench: Bench, cup: ToldCup): Happening =>
  added(bench, [
    put(
      bench,
      {
        at: 0,
        batch: cup.batch,
        mixedAt: mixedMinute(bench, cup.batch),
        uses: [{ cup: cup.id, ml: 0, boards: [] }],
        boards: boardsOf(bench, cup.id.piece),
      },
      { does: 'stir', piece: cup.id.piece, coat: cup.id.coat, role: cup.id.role },
    ),
  ]);

const mixedMinute = ({ session }: Bench, batch: number): number => minuteOf(session, session.mixedAt.get(batch) ?? -Infinity);

const boardsOf = ({ session }: Bench, pieceId: string): ToldStep['boards'] =>
  session.pour.planned.pieces.filter((p) => p.id === pieceId).map(({ id, name, count }) => ({ piece: id, name, count }));

/** The white that was laid last; what is asked for of a wave is of that one. */
export const lastWhite = ({ session }: Pick<Bench, 'session'>): ToldStep | undefined =>
  session.told.steps
    .filter((s) => s.id.does === 'white' && session.doneAt.has(stepKey(s.id)))
    .sort((a, b) => session.doneAt.get(stepKey(a.id))! - session.doneAt.get(stepKey(b.id))!)
    .at(-1);

/** A pass of heat on a wave, beyond those that were told. */
function passOf(bench: Bench, white: ToldStep): ToldStep {
  const told = bench.session.told.steps.filter((s) => s.id.does === 'heat' && s.id.piece === white.id.piece && s.id.coat === white.id.coat);
  const pass = Math.min(12, Math.max(0, ...told.map((s) => s.id.pass ?? 0)) + 1);
  const { additive: _, ...step } = white;
  return { ...put(bench, { ...step, uses: [], passes: pass }, { ...white.id, does: 'heat', pass }) };
}

/** One more pass of heat on the wave that was laid last. */
export function anotherPass(bench: Bench): Happening | undefined {
  const white = lastWhite(bench);
  return white && added(bench, [passOf(bench, white)]);
}

/** More white on the wave at hand, out of its cup or mixed anew, and a pass of heat for it. */
export function addWhite(bench: Bench): Happening | undefined {
  const white = lastWhite(bench);
  const use = white?.uses[0];
  const cup = use && cupsNow(bench.session).find((c) => c.key === cupKey(use.cup));
  if (!white || !cup) return undefined;
  const happening = more(bench, cup);
  return happening?.kind === 'added' ? { ...happening, steps: [...happening.steps, passOf(bench, white)] } : undefined;
}

/** Most tint that breaks up a white and does not bury it, ml. */
const OVER = 5;

/** Tint over a white that hides too much, out of the palest cup that has some left. */
export function tintOver(bench: Bench): Happening | undefined {
  const white = lastWhite(bench);
  const cups = cupsNow(bench.session).filter((c) => c.cup.id.tint !== undefined && c.state !== 'gone thick' && c.state !== 'to be mixed');
  const own = cups.filter((c) => c.cup.id.piece === white?.id.piece);
  const cup = (own.length ? own : cups).filter((c) => c.free - c.wanted >= LEAST).sort((a, b) => b.cup.id.tint! - a.cup.id.tint!)[0];
  if (!white || !cup) return undefined;
  const ml = Math.min(OVER, cup.free - cup.wanted);
  const { additive: _, ...step } = white;
  return added(bench, [
    put(bench, { ...step, batch: cup.cup.batch, uses: useOf(white, cup.cup.id, cup.cup, ml) }, { ...white.id, does: 'tint over' }),
  ]);
}

/** The white pushed back from where it ran too far. */
export function pushBack(bench: Bench): Happening | undefined {
  const white = lastWhite(bench);
  if (!white) return undefined;
  const { additive: _, ...step } = white;
  return added(bench, [put(bench, { ...step, uses: [] }, { ...white.id, does: 'push' })]);
}

/** How far a tilt is to move a film, mm, the angles a hand holds, degrees, and how long it is held at most, s. */
const [TRAVEL, HELD] = [20, 45];
const ANGLES = [2, 3, 5, 8, 12, 18, 25];

/**
 * The board as a tool: the least angle at which its film runs two centimetres while it can be held, and for how long, by the
 * free flow of a film that thickens meanwhile. Undefined while nothing lies, and where it no longer runs.
 */
export function tilt(bench: Bench): Happening | undefined {
  const { session, celsius } = bench;
  const film = session.told.steps
    .filter((s) => s.id.does === 'pour' && session.doneAt.has(stepKey(s.id)) && s.coat && !['sand', 'wave', 'thread'].includes(s.coat.kind))
    .sort((a, b) => session.doneAt.get(stepKey(a.id))! - session.doneAt.get(stepKey(b.id))!)
    .at(-1);
  const clock = film && bench.clocks[film.batch];
  const since = film && sinceMixed(bench, film.batch);
  if (!film?.coat || !clock || since === undefined || since >= clock.windows.heatUntil) return undefined;
  const { method } = session.pour.planned;
  const { resin } = clock;
  const k = (thickeningRate(resin, method) / 60) * rate(celsius, resin.refC, method.activationEa);
  const mu = clock.film.thickness(since);
  const lying = { film: film.coat.film, density: mixedDensity(resin) };
  const takes = (degrees: number) => {
    const flow = flowToTravel(TRAVEL, lying, degrees);
    const seconds = secondsToFlow(flow, mu, k);
    return { degrees, seconds, back: Number.isFinite(seconds) ? secondsToFlow(flow, mu * Math.exp(k * seconds), k) : Infinity };
  };
  const found = ANGLES.map(takes).find((t) => t.seconds <= HELD);
  if (!found) return undefined;
  const whole = (s: number): number => (Number.isFinite(s) ? Math.max(1, Math.round(s)) : 0);
  const { into: _, gap: __, ...step } = film;
  return added(bench, [
    put(
      bench,
      {
        ...step,
        uses: [],
        tilt: { degrees: found.degrees, travel: TRAVEL, seconds: whole(found.seconds), back: whole(found.back) },
      },
      {
        does: 'tilt',
        ...(film.id.piece !== undefined && { piece: film.id.piece }),
        ...(film.id.coat !== undefined && { coat: film.id.coat }),
      },
    ),
  ]);
}
