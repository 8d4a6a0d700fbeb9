/** A thermometer on the wall of a room, and the room, for where no real one hangs. °C, relative humidity, s. */
export interface SimulatedThermometer {
  /** Of the air round it, and what it has come to, which lags behind. */
  airC: number;
  feltC: number;
  humidity: number;
  time: number;
  /** It has gone silent: a flat battery, a lost radio. */
  silent: boolean;
}

/** What a thermometer says. */
export interface AirShown {
  celsius: number;
  humidity: number;
}

/** Time constant of its bulb, s; how far the air of a room wanders, K, and over how long, s. */
const LAG = 4;
const [WANDERS, PERIOD] = [0.15, 300];
/** What it can tell apart. */
const [STEP_C, STEP_HUMIDITY] = [0.1, 0.01];

export const newThermometer = (celsius: number, humidity = 0.55): SimulatedThermometer => ({
  airC: celsius,
  feltC: celsius,
  humidity,
  time: 0,
  silent: false,
});

/** The thermometer some time on. @param dt s */
export function thermometerAfter(own: SimulatedThermometer, dt: number): SimulatedThermometer {
  const time = own.time + dt;
  const air = own.airC + WANDERS * Math.sin((2 * Math.PI * time) / PERIOD);
  return { ...own, time, feltC: own.feltC + (air - own.feltC) * (1 - Math.exp(-dt / LAG)) };
}

const stepped = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(2));

/** What it shows now; undefined where it is silent. */
export const airShown = ({ feltC, humidity, silent }: SimulatedThermometer): AirShown | undefined =>
  silent ? undefined : { celsius: stepped(feltC, STEP_C), humidity: stepped(humidity, STEP_HUMIDITY) };

/** What becomes of it: the room is warmed or cooled, aired, or it stops. */
export type AirMove = { does: 'warm'; celsius: number } | { does: 'air'; humidity: number } | { does: 'stop' } | { does: 'go on' };

export function thermometerMoved(own: SimulatedThermometer, move: AirMove): SimulatedThermometer {
  switch (move.does) {
    case 'warm':
      return { ...own, airC: move.celsius };
    case 'air':
      return { ...own, humidity: move.humidity };
    case 'stop':
      return { ...own, silent: true };
    case 'go on':
      return { ...own, silent: false };
  }
}
