import { rehearsedOn } from '#core/coat';
import { limits, type AirPass, type AirStroke, type Piece, type Point, type Rehearsed, type WaveCoat } from '#core/document';
import { placeAt, STEP, type Act, type Aim, type Held, type Move } from '#core/foam';
import type { Setup } from './setup';

/** A rest so long parts two passes, s. */
const BETWEEN = 8;
/** A stroke that turns by so much is two, radians; its path is kept at a place each so many seconds. */
const [TURNED, EVERY] = [0.35, 0.25];
/** A stroke that strays no further from even and straight is kept by its ends, mm. */
const STRAIGHT = 0.3;
/** No hand draws air so fast; further off in one step it was lifted, mm. */
const LIFTED = 12;

const held = ({ tool, distance, angle, fan }: Held): Held => ({
  tool,
  ...(distance !== undefined && { distance }),
  ...(angle !== undefined && { angle }),
  ...(fan !== undefined && { fan }),
});
const alike = (a: Held, b: Held): boolean => a.tool === b.tool && a.distance === b.distance && a.angle === b.angle && a.fan === b.fan;
/** Rounded as it is kept: what is played is then what was kept. */
const kept = (v: number, step: number): number => Number((Math.round(v / step) * step).toFixed(3));
/** A wait no longer than the document holds. */
const waited = (seconds: number, most: number): number => kept(Math.min(seconds, most), 0.05);
const turnOf = (a: number, b: number): number => Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)));

/** Aims of one stroke, 50 ms apart, as places at even times. */
function strokeOf(aims: readonly Aim[], back: number): AirStroke {
  const seconds = aims.length * STEP;
  const n = Math.min(limits.strokePoints.max, Math.max(2, Math.round(seconds / EVERY) + 1));
  const middle = aims[aims.length >> 1]!;
  // an aim is where the air is as its step begins: the last place is one step further on
  const last = aims.at(-1)!;
  const before = aims.at(-2) ?? last;
  const all: Point[] = [...aims, { x: 2 * last.x - before.x, y: 2 * last.y - before.y }];
  const path = Array.from({ length: n }, (_, i) => {
    const { x, y } = placeAt(all, i / (n - 1));
    return { x: kept(x, 0.1), y: kept(y, 0.1) };
  });
  const ends = [path[0]!, path.at(-1)!];
  const straight = path.every((p, i) => {
    const on = placeAt(ends, i / (n - 1));
    return Math.hypot(p.x - on.x, p.y - on.y) < STRAIGHT;
  });
  return {
    path: straight ? ends : path,
    seconds: kept(seconds, 0.05),
    toward: kept(Math.atan2(Math.sin(middle.toward), Math.cos(middle.toward)), 0.001),
    ...(back > 0 && { back: waited(back, limits.strokeSeconds.max) }),
  };
}

/**
 * What was done, as passes of strokes: a new stroke where the hand went back or turned, a new pass where it rested or took
 * another tool. The rest at the end is left out.
 */
export function passesOf(moves: readonly Move[]): AirPass[] {
  const passes: AirPass[] = [];
  let [wait, back] = [0, 0];
  let own: Aim[] = [];
  const end = (): void => {
    const [first] = own;
    if (!first) return;
    const last = passes.at(-1);
    if (!last || wait > 0 || !alike(last, first.held)) {
      passes.push({
        wait: waited(wait > 0 ? wait + back : 0, limits.passWait.max),
        ...held(first.held),
        strokes: [strokeOf(own, wait > 0 ? 0 : back)],
      });
    } else last.strokes.push(strokeOf(own, back));
    own = [];
    [wait, back] = [0, 0];
  };
  for (const move of moves) {
    const aim = 'rest' in move ? undefined : move.aim;
    const last = own.at(-1);
    const goesOn =
      last &&
      aim &&
      alike(last.held, aim.held) &&
      turnOf(own[0]!.toward, aim.toward) <= TURNED &&
      Math.hypot(aim.x - last.x, aim.y - last.y) <= LIFTED;
    if (last && !goesOn) end();
    if (own.length * STEP >= limits.strokeSeconds.max) end();
    if (aim) own.push(aim);
    else if ('rest' in move && move.rest >= BETWEEN) wait += move.rest;
    else back += 'rest' in move ? move.rest : STEP;
  }
  end();
  return passes;
}

/** Passes as they are played. */
export const actsOf = (passes: readonly AirPass[]): Act[] =>
  passes.flatMap((pass) => [
    ...(pass.wait > 0 ? [{ does: 'wait', seconds: pass.wait } as const] : []),
    ...pass.strokes.flatMap((s): Act[] => [
      ...(s.back ? [{ does: 'wait', seconds: s.back } as const] : []),
      { does: 'stroke', held: held(pass), path: s.path, seconds: s.seconds, toward: s.toward },
    ]),
  ]);

/** What does not fit into the document, as a sentence; undefined where all of it does. */
export function tooMuchToKeep(passes: readonly AirPass[]): string | undefined {
  if (passes.length > 12)
    return `A rehearsal that is kept has at most 12 passes; this one has ${passes.length}. Go back in it, and keep it then.`;
  const most = Math.max(0, ...passes.map((p) => p.strokes.length));
  if (most > limits.strokes.max)
    return `A pass that is kept has at most ${limits.strokes.max} strokes; one here has ${most}. Rest between them, or make fewer.`;
  return undefined;
}

/** How a wave is moved where it was moved so: by the tool of its air, and by whether a flame came first or last. */
function heatOf(passes: readonly AirPass[], was: WaveCoat['heat']): WaveCoat['heat'] {
  const flame = passes.findIndex((p) => p.tool === 'torch');
  const air = passes.findIndex((p) => p.tool !== 'torch');
  if (flame >= 0) return air >= 0 && air < flame ? 'air then torch' : 'torch then air';
  if (passes[air]?.tool === 'dryer') return 'hair dryer';
  return was && 'hot air';
}

/** What lies under white that was laid on clear or straight on the tint; a gap, or clear that comes over it, are other ways to do without. */
function underOf({ barrier }: Setup, was: WaveCoat['under']): WaveCoat['under'] {
  if (barrier > 0) return was === undefined ? undefined : 'barrier';
  return was === undefined || was === 'barrier' ? 'none' : was;
}

/** A wave with a rehearsal as its plan: laid at its minute, as wide and on what it was, moved with its tool in as many passes. */
export function withRehearsed(piece: Piece, wave: WaveCoat, setup: Setup, passes: AirPass[]): WaveCoat {
  const heat = heatOf(passes, wave.heat);
  const under = underOf(setup, wave.under);
  const rest = passes[0]?.wait ?? 0;
  const { rest: _, rehearsed: __, ...others } = wave;
  const planned: WaveCoat = {
    ...others,
    layAt: setup.minute,
    passes: passes.filter((p) => p.tool !== 'torch').length,
    ...(setup.width !== undefined && { lineWidth: setup.width }),
    ...(under !== undefined && { under }),
    ...(heat !== undefined && { heat }),
    ...(rest > 0 && { rest: Math.round(rest / 6) / 10 }),
  };
  const rehearsed: Rehearsed = {
    on: rehearsedOn(piece, planned),
    ml: kept(setup.ml, 0.01),
    rough: kept(setup.rough, 0.01),
    minute: setup.minute,
    barrier: kept(setup.barrier, 0.001),
    ...(setup.off && { off: setup.off }),
    ...(setup.line && { line: setup.line }),
    luck: setup.luck,
    passes,
  };
  return { ...planned, rehearsed };
}

/** A wave without its rehearsal; what that set of it stays. */
export function withoutRehearsed(wave: WaveCoat): WaveCoat {
  const { rehearsed: _, ...others } = wave;
  return others;
}
