import { airPasses, passSeconds, rehearsalOf } from '#core/coat';
import { heatPass, heatTool, torchTool, type HeatTool } from '#core/craft';
import { heatAge } from '#core/cure';
import { stepKey, type AirPass, type Point, type ToldStep } from '#core/document';
import { placeAt, tools } from '#core/foam';
import { heatSeconds, isPass } from '#core/record';
import type { Bench } from './bench';
import { sinceMixed } from './minutes';

/** A pass of heat as it is planned, and what has been put into its wave so far. */
export interface HeatPlan {
  tool: HeatTool;
  /** What comes before or after the air: the flame. */
  order: 'air only' | 'torch first' | 'torch last';
  /** Seconds over one place, and for the whole line of one board at that pace, s. */
  linger: number;
  seconds: number;
  /** How fast the tool moves on, mm/s, and how often by its own width. */
  speed: number;
  moves: number;
  /** Boards it is made on. */
  boards: number;
  /** Passes told for it, and made; seconds held in all. */
  passes: number;
  made: number;
  held: number;
  /** How long one looks after the pass before it, s. */
  look: number;
  /** What one pass adds to the age of the film, and all that were made, equivalent min. */
  ages: number;
  aged: number;
  /** Minutes the film can still be moved, its passes counted. */
  left?: number;
  /** Why it is enough, where it is. */
  enough?: string;
  /** Its strokes as they were rehearsed, one after the other on each board; undefined where it is made by eye. */
  strokes?: TimedStroke[];
}

/** A stroke of air on one board: from and until which second of its pass, and where its middle goes, mm. */
export interface TimedStroke {
  from: number;
  until: number;
  path: Point[];
}

/** The rehearsed pass of a step, from what its pour was planned with. */
function rehearsedPass({ session }: Bench, { id }: ToldStep): AirPass | undefined {
  const piece = session.pour.planned.pieces.find((p) => p.id === id.piece);
  const wave = piece?.coats.find((c) => c.id === id.coat);
  const rehearsed = piece && wave?.kind === 'wave' ? rehearsalOf(piece, wave) : undefined;
  if (!rehearsed) return undefined;
  return id.does === 'flick' ? rehearsed.passes.find((p) => p.tool === 'torch') : airPasses(rehearsed)[(id.pass ?? 1) - 1];
}

/** The tool of a rehearsed pass, held as it was; its width over the board is that of its kind. */
function rehearsedTool({ tool, distance, angle, fan = 1 }: AirPass, usual: HeatTool): HeatTool {
  const own = tools[tool];
  return {
    ...usual,
    name: own.name,
    distance: distance ?? own.distance,
    angle: angle ?? own.angle,
    ...(tool !== 'torch' && { setting: fan < 1 ? 'fan low' : fan > 1 ? 'fan high' : 'fan at the middle' }),
  };
}

function timed({ strokes }: AirPass): TimedStroke[] {
  let at = 0;
  return strokes.map(({ path, seconds, back = 0 }, k) => {
    const from = at + (k > 0 ? back : 0);
    at = from + seconds;
    return { from, until: at, path };
  });
}

/** The stroke that is made at a second of a rehearsed pass, from 0, or made next; and where the air is then, mm. */
export function strokeAt(strokes: readonly TimedStroke[], second: number): { index: number; at: Point } {
  const found = strokes.findIndex((s) => second < s.until);
  const index = found < 0 ? strokes.length - 1 : found;
  const { from, until, path } = strokes[index]!;
  const share = Math.min(1, Math.max(0, (second - from) / (until - from)));
  return { index, at: placeAt(path, share) };
}

/** Between two passes one looks, s: what opens, opens in the first minute. */
const LOOK = 60;
/** Held so much longer than planned, a pass is enough whatever it looks like. */
const TOO_LONG = 1.5;

/** Seconds of passes that were timed on a wave. */
function heldOn({ session }: Pick<Bench, 'session'>, { id }: ToldStep): number {
  const seconds = heatSeconds(session.events);
  return session.events.reduce((sum, e) => {
    const own = e.kind === 'did' && isPass(e.step) && e.step.piece === id.piece && e.step.coat === id.coat;
    return sum + (own ? (seconds.get(e.seq) ?? 0) : 0);
  }, 0);
}

/**
 * The pass at hand: how the tool is held, how fast it moves on, what it adds to the age of the film, and whether it is
 * enough already: by passes, by seconds, by the age of the film, or by the white itself, which runs by itself while thin.
 * @param length of the wave's line on one board, mm
 */
export function heatPlan(bench: Bench, step: ToldStep, length: number): HeatPlan {
  const { session, now } = bench;
  const { method } = session.pour.planned;
  const usual = heatPass(method);
  const way = step.wave?.heat ?? 'hot air';
  const usualTool = step.id.does === 'flick' ? torchTool : heatTool(way);
  const pass = step.id.again === undefined ? rehearsedPass(bench, step) : undefined;
  const tool = pass ? rehearsedTool(pass, usualTool) : usualTool;
  // strokes warm a place for as long as the whole pass spends on its width of the line
  const linger = pass && length > 0 ? (passSeconds(pass) * tool.footprint) / Math.max(length, tool.footprint) : usual.seconds;
  const { celsius } = usual;
  const clock = bench.clocks[step.batch];
  const ages = clock ? heatAge(linger, celsius, clock.resin.refC, method.activationEa) : 0;
  const told = session.told.steps.filter((s) => s.id.does === 'heat' && s.id.piece === step.id.piece && s.id.coat === step.id.coat);
  const made = session.told.steps.filter(
    (s) => isPass(s.id) && s.id.piece === step.id.piece && s.id.coat === step.id.coat && session.doneAt.has(stepKey(s.id)),
  ).length;
  const boards = step.boards.reduce((sum, b) => sum + b.count, 0) || 1;
  const seconds = pass ? passSeconds(pass) : Math.max(linger, (length / tool.footprint) * linger);
  const held = heldOn(bench, step) + (session.heatOn === undefined ? 0 : Math.max(0, (now - session.heatOn) / 1000));
  const since = sinceMixed(bench, step.batch);
  const aged = ages * made;
  // an equivalent minute is longer or shorter on the clock, as the film's own working age is
  const perMinute = clock && clock.windows.heatUntil > 0 ? clock.resin.workingMin / clock.windows.heatUntil : 1;
  const left = clock && since !== undefined ? clock.windows.heatUntil - since - aged / perMinute : undefined;
  const enough = enoughOf({ made, passes: told.length, held, seconds: seconds * boards, left, thin: laidThin(bench, step) });
  return {
    tool,
    order: way === 'torch then air' ? 'torch first' : way === 'air then torch' ? 'torch last' : 'air only',
    linger,
    seconds,
    ...(pass && { strokes: timed(pass) }),
    speed: tool.footprint / linger,
    moves: Math.max(1, Math.round(length / tool.footprint)),
    boards,
    passes: told.length,
    made,
    held,
    look: pass ? pass.wait : LOOK,
    ages,
    aged,
    ...(left !== undefined && { left }),
    ...(enough !== undefined && { enough }),
  };
}

/** Whether the white of a wave was laid while it still ran by itself: one pass does for it. */
function laidThin(bench: Bench, { id }: ToldStep): boolean {
  const { session } = bench;
  const white = session.told.steps.find((s) => s.id.does === 'white' && s.id.piece === id.piece && s.id.coat === id.coat);
  const at = white && session.doneAt.get(stepKey(white.id));
  const mixed = white && session.mixedAt.get(white.batch);
  const ready = white && bench.clocks[white.batch]?.windows.white;
  return at !== undefined && mixed !== undefined && ready !== undefined && (at - mixed) / 60_000 < ready.from;
}

function enoughOf(s: {
  made: number;
  passes: number;
  held: number;
  seconds: number;
  left: number | undefined;
  thin: boolean;
}): string | undefined {
  if (s.left !== undefined && s.left <= 0) return 'The film has had its time: what moves now only wrinkles.';
  if (s.made > 0 && s.thin) return 'The white was laid while it still ran: one pass opens it, a second washes it out.';
  if (s.passes > 0 && s.made >= s.passes)
    return `${s.passes === 1 ? 'The one pass it was planned for is' : `The ${s.passes} passes it was planned for are`} made: each further one lowers contrast.`;
  if (s.passes > 0 && s.held > TOO_LONG * s.passes * s.seconds) return 'It has been held for longer than all its passes should take.';
  return undefined;
}
