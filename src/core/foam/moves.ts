import { jetOf, type Act } from './script';
import type { Foam } from './state';
import { heatStep, rest, STEP } from './step';
import { airOf, type Held } from './tools';

/** Where the air is held: its middle, mm, and which way it blows, radians from +x toward +y. */
export interface Aim {
  held: Held;
  x: number;
  y: number;
  toward: number;
}
/** What is done in one step: 50 ms of air, or of none while the hand goes back; or a rest of some seconds. */
export type Move = { aim?: Aim } | { rest: number };

/** How long a move takes, s. */
export const takes = (move: Move): number => ('rest' in move ? move.rest : STEP);

/** Does a move. */
export function does(foam: Foam, move: Move): void {
  if ('rest' in move) rest(foam, move.rest);
  else if (!move.aim) heatStep(foam);
  else {
    const { held, x, y, toward } = move.aim;
    heatStep(foam, { ...airOf(held, foam.roomC), x, y, dx: Math.cos(toward), dy: Math.sin(toward) });
  }
}

/** Rests up to this long are between two strokes, s. */
const BETWEEN = 2;

/** Strokes and waits as moves. */
export function movesOf(acts: readonly Act[]): Move[] {
  return acts.flatMap((act): Move[] => {
    if (act.does === 'wait')
      return act.seconds > BETWEEN ? [{ rest: act.seconds }] : Array.from({ length: Math.round(act.seconds / STEP) }, () => ({}));
    return Array.from({ length: Math.ceil(act.seconds / STEP - 1e-9) }, (_, n) => {
      const { x, y } = jetOf(act, n * STEP, 0);
      return { aim: { held: act.held, x, y, toward: act.toward } };
    });
  });
}

/** Long rests are cut, so that what is seen of them follows, s. */
const PART = 20;

/** The same moves, their rests in parts. */
export const inParts = (moves: readonly Move[]): Move[] =>
  moves.flatMap((move) =>
    'rest' in move && move.rest > PART
      ? Array.from({ length: Math.ceil(move.rest / PART) }, (_, k): Move => ({ rest: Math.min(PART, move.rest - PART * k) }))
      : [move],
  );

/** Air further off than this does nothing here, mm. */
const FAR = 60;

/** Moves on a part of the board whose corner lies at x, y. Air that is far off it is left out; its time is rested. */
export function movesOn(moves: readonly Move[], at: { x: number; y: number }, width: number, height: number): Move[] {
  const out: Move[] = [];
  let away = 0;
  for (const move of moves) {
    const aim = 'rest' in move ? undefined : move.aim;
    const [x, y] = aim ? [aim.x - at.x, aim.y - at.y] : [0, 0];
    const off = aim !== undefined && (x < -FAR || y < -FAR || x > width + FAR || y > height + FAR);
    if (off || (away > 0 && !('rest' in move) && !aim)) {
      away += STEP;
      continue;
    }
    if (away > 0) out.push({ rest: away });
    away = 0;
    out.push(aim ? { aim: { ...aim, x, y } } : move);
  }
  if (away > 0) out.push({ rest: away });
  return out;
}
