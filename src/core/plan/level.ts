import { driftAllowed, ordinaryDoubts } from '#core/craft';
import { flowing, likely, rate, thickeningRate, viscosity, type Doubts, type Likely, type Shift } from '#core/cure';
import type { Coat, Stands } from '#core/document';
import {
  allowedTilt,
  closedDrift,
  feetOf,
  flowToTravel,
  lengthAlong,
  openDrift,
  runsDry,
  secondsToFlow,
  shims,
  slopeOf,
  wetCreep,
  dryCreep,
  type Foot,
  type Lying,
} from '#core/level';
import { mixedDensity } from '#core/mix';
import type { Batch } from './batch';
import { filmAge } from './clock';
import { moved } from './likely';
import type { PiecePlan, PourPlan } from './piece';
import type { Step } from './steps';

/** The film of a pour that still flows when its last moving part is laid: a wave, or where there is none the last film. */
export interface Wet {
  coat: Coat;
  batch: Batch;
  /** Minute after mixing from which it is left to itself. */
  laidMin: number;
  /** What lies there, mm. */
  film: number;
  /** Pa·s at that minute. */
  mu: number;
  /** By how much ln of its thickness grows in a second there. */
  k: number;
  lying: Lying;
  /** Between walls, dams or a taped edge it stops when it is level again. */
  closed: boolean;
}

const LAST = new Set(['white', 'pour', 'heat']);

/** Coats that run: a beach stands by its grains, lines float in what was laid before them. */
const RUNS = new Set<Coat['kind']>(['seal', 'base', 'sea', 'glaze', 'clear', 'top']);

function stepOf({ steps, batches }: PourPlan): { step: Step; batch: Batch } | undefined {
  const white = steps.findLast((s) => s.id.does === 'white');
  const step = white ?? steps.findLast((s) => LAST.has(s.id.does) && s.id.coat !== undefined);
  const batch = step && batches[step.batch];
  return step && batch ? { step, batch } : undefined;
}

/** What of a pour is wet and may move; undefined where nothing is laid. @param shift inputs moved, to see how sure it is */
export function wetOf({ piece, means }: Pick<PiecePlan, 'piece' | 'means'>, pour: PourPlan, shift: Shift = {}): Wet | undefined {
  const found = stepOf(pour);
  const coat = found && piece.coats.find((c) => c.id === found.step.id.coat);
  if (!found || !coat) return undefined;
  const { step, batch } = found;
  const { resin, method, air } = moved({ resin: batch.resin, method: means.method, air: means.air }, shift);
  const laidMin = step.at - step.mixedAt;
  const film = pour.coats.reduce((sum, c) => sum + (RUNS.has(c.coat.kind) ? c.film : 0), 0);
  if (film <= 0) return undefined;
  const ageMin = filmAge(batch, { method, air }, laidMin);
  const density = mixedDensity(resin);
  const flow = flowing(resin, method, air, { fromMin: laidMin, ageMin });
  return {
    coat,
    batch,
    laidMin,
    film,
    mu: viscosity(resin, method, air(laidMin), ageMin),
    k: (thickeningRate(resin, method) / 60) * rate(air(laidMin), resin.refC, method.activationEa),
    lying: { film, density, flow },
    closed: (coat.edge ?? piece.edge) !== 'run over',
  };
}

/** What becomes of a pour on a board that hangs as it was read. */
export interface Drift {
  wet: Wet;
  /** How steeply it hangs, degrees, and where downhill is on the drawing. */
  tilt: number;
  down: { x: number; y: number };
  /** How far its face has run by morning, mm. */
  drift: Likely;
  /** Of that toward the beach, along the way from the deep to the shore, mm; negative where it runs out to sea. */
  inland: number;
  /** What the studio lets it move, mm, and how level it has to be for that, degrees. */
  allowed: number;
  allowedTilt: number;
  /** Between walls: the high side runs dry before it is level. */
  dry: boolean;
  feet: { foot: Foot; mm: number }[];
}

/** The way from the deep to the shore on a drawing, by the side on which the sea lies. */
const inlandWay = { far: { x: 0, y: 1 }, near: { x: 0, y: -1 }, left: { x: 1, y: 0 }, right: { x: -1, y: 0 } } as const;

/** How far a pour moves by morning on a board that stands so; undefined where nothing of it is wet. */
export function driftOf(
  plan: PiecePlan,
  pour: PourPlan,
  stands: Stands,
  doubts: Doubts = plan.means.doubts ?? ordinaryDoubts,
): Drift | undefined {
  const wet = wetOf(plan, pour);
  if (!wet) return undefined;
  const { tilt, down } = slopeOf(stands);
  const board = plan.bounds;
  const length = tilt > 0 ? lengthAlong(board, down) : Math.max(board.width, board.height);
  const { drifts = 1 } = plan.means.method;
  const runs = ({ lying, closed }: Wet): number => drifts * (closed ? closedDrift(lying, tilt, length) : openDrift(lying, tilt));
  const { drift } = likely((shift) => ({ drift: runs(wetOf(plan, pour, shift)!) }), doubts);
  const way = inlandWay[plan.piece.sea.side];
  const allowed = driftAllowed(plan.means.method);
  return {
    wet,
    tilt,
    down,
    drift,
    inland: drift.middle * (down.x * way.x + down.y * way.y),
    allowed,
    allowedTilt: allowedTilt(allowed / drifts, wet.lying, wet.closed ? { length } : undefined),
    dry: wet.closed && runsDry(wet.film, tilt, length),
    feet: shims(feetOf(stands, board), stands),
  };
}

/** How far a line's edge creeps from where it was laid, mm: on the wet film below it, and on dry ground. */
export function creepOf({ lying, film }: Wet, line: { width: number; area: number }): { wet: number; dry: number } {
  return {
    wet: Math.max(0, wetCreep(line, film, lying.flow, lying.density) - line.width / 2),
    dry: Math.max(0, dryCreep(line, lying.flow, lying.density) - line.width / 2),
  };
}

/** Tilting as a tool: seconds at an angle until a film has travelled so far, and as far back; Infinity where it sets first. */
export function tiltFor({ lying, mu, k }: Wet, travel: number, tilt: number): { there: number; back: number } {
  const flow = flowToTravel(travel, lying, tilt);
  const there = secondsToFlow(flow, mu, k);
  return { there, back: Number.isFinite(there) ? secondsToFlow(flow, mu * Math.exp(k * there), k) : Infinity };
}
