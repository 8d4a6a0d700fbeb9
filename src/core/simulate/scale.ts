/** A small scale and the hand that pours onto it, for where no real one stands. All in g and s. */
export interface SimulatedScale {
  /** What really lies on the pan. */
  load: number;
  /** What the cell feels, which lags behind the load. */
  felt: number;
  /** What is called nothing since the last tare. */
  zero: number;
  /** What flows from the bottle now, and what the hand asks for, g/s. */
  flow: number;
  asked: number;
  time: number;
  /** Since when the cell has been still, s. */
  stillSince: number;
  seed: number;
}

/** What a scale says: its number, and whether it has come to rest. */
export interface ScaleReading {
  grams: number;
  stable: boolean;
}

/** Time constants: the cell settles, a stream swells and runs dry. */
const SETTLES = 0.35;
const SWELLS = 0.25;
/** The zero wanders so far, over so long. */
const DRIFT = 0.03;
const DRIFT_PERIOD = 240;
/** A stream shakes the pan by this share of what flows in a second. */
const SHAKES = 0.15;
const STILL_FOR = 0.8;

/** A scale that stands empty. @param seed of its own restlessness */
export const newScale = (seed: number): SimulatedScale => ({
  load: 0,
  felt: 0,
  zero: 0,
  flow: 0,
  asked: 0,
  time: 0,
  stillSince: 0,
  seed: (seed % 2147483646) + 1,
});

const drift = (time: number): number => DRIFT * Math.sin((2 * Math.PI * time) / DRIFT_PERIOD);

/** The next of a row of even numbers, 0 to 1 (Park and Miller 1988). */
const shaken = (seed: number): number => (seed * 48271) % 2147483647;

/** The scale some time on. @param dt s, up to a few tenths @param stepG what it can tell apart */
export function advance(scale: SimulatedScale, dt: number, stepG: number): SimulatedScale {
  const flow = scale.flow + (scale.asked - scale.flow) * (1 - Math.exp(-dt / SWELLS));
  const running = flow < 0.005 && scale.asked === 0 ? 0 : flow;
  const load = scale.load + (dt * (scale.flow + running)) / 2;
  const felt = scale.felt + (load - scale.felt) * (1 - Math.exp(-dt / SETTLES));
  const time = scale.time + dt;
  const moves = Math.abs(load - felt) > stepG / 2 || running > 0;
  return { ...scale, load, felt, flow: running, time, stillSince: moves ? time : scale.stillSince, seed: shaken(scale.seed) };
}

/** What it shows now, in its own steps. */
export function shows({ felt, zero, flow, time, stillSince, seed }: SimulatedScale, stepG: number): ScaleReading {
  const noise = SHAKES * flow * (seed / 2147483647 - 0.5);
  const grams = Math.round((felt - zero + drift(time) + noise) / stepG) * stepG;
  return { grams: Number(grams.toFixed(4)) + 0, stable: time - stillSince >= STILL_FOR };
}

/** What shows is called nothing from here on. */
export const tared = (scale: SimulatedScale): SimulatedScale => ({ ...scale, zero: scale.felt + drift(scale.time) });

/** The hand pours, or stops: what is in the air still falls. @param rate g/s */
export const poured = (scale: SimulatedScale, rate: number): SimulatedScale => ({ ...scale, asked: rate });

/** Something is put on at once, or taken off: a cup, a drop. */
export const laidOn = (scale: SimulatedScale, grams: number): SimulatedScale => ({
  ...scale,
  load: Math.max(0, scale.load + grams),
  stillSince: scale.time,
});

/** What a hand does at the scale. */
export type HandMove = { does: 'tare' } | { does: 'pour'; rate: number } | { does: 'put'; grams: number };

/** The scale after the hand has done something: set a vessel down, asked for a stream, tared. */
export function moved(scale: SimulatedScale, move: HandMove): SimulatedScale {
  switch (move.does) {
    case 'tare':
      return tared(scale);
    case 'pour':
      return poured(scale, move.rate);
    case 'put':
      return laidOn(scale, move.grams);
  }
}
