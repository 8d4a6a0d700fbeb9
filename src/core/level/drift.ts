/** Standard gravity, m/s². */
const G = 9.80665;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const degrees = (radians: number): number => (radians * 180) / Math.PI;

/** A wet film that lies on a tilted board. */
export interface Lying {
  /** mm */
  film: number;
  /** g/ml */
  density: number;
  /** How much it flows until it has set, s/(Pa·s): ∫dt/μ. */
  flow: number;
}

/** Terms of the series below; each is less than the one before by the cube of its number. */
const TERMS = 40;

/**
 * How far the face of an open film has run downhill by the time it has set, mm: s = ρg sinθ·h²·τ/2, which is 1.5 times its
 * mean. 2 mm at 0.25°, 1.2 Pa·s, k ln 8/2700 a second: 101.86 mm.
 * @param tilt degrees
 */
export const openDrift = ({ film, density, flow }: Lying, tilt: number): number =>
  (1000 * (density * 1000 * G * Math.sin(radians(tilt)) * (film / 1000) ** 2 * flow)) / 2;

/**
 * How far the face of a film between walls, dams or pinned edges has run, mm: it stops when it is level again. 300 mm long,
 * in its middle, as above: 35.56 mm. Valid while L·tanθ/2 is less than the film: more, and the high side runs dry.
 * @param length of the board along the tilt, mm @param from the middle, mm
 */
export function closedDrift({ film, density, flow }: Lying, tilt: number, length: number, from = 0): number {
  const h = film / 1000;
  const L = length / 1000;
  const x = from / 1000;
  const n = (Math.PI ** 2 * density * 1000 * G * h ** 3 * flow) / (3 * L ** 2);
  let sum = 0;
  for (let i = 0; i < TERMS; i++) {
    const odd = 2 * i + 1;
    sum += ((i % 2 ? -1 : 1) / odd ** 3) * Math.cos((odd * Math.PI * x) / L) * Math.exp(-(odd ** 2) * n);
  }
  const level = (L ** 2 / 4 - x ** 2) / (2 * h);
  return 1000 * 1.5 * Math.tan(radians(tilt)) * (level - ((4 * L ** 2) / (Math.PI ** 3 * h)) * sum);
}

/** Whether a film between walls runs dry at its high side. */
export const runsDry = (film: number, tilt: number, length: number): boolean => (length * Math.tan(radians(tilt))) / 2 >= film;

/** How level a board must be, degrees, so that nothing on it runs further than so many mm. */
export const allowedTilt = (drift: number, lying: Lying, closed?: { length: number }): number =>
  closed
    ? degrees(Math.atan(drift / (closedDrift(lying, 45, closed.length) / Math.tan(radians(45)))))
    : degrees(Math.asin(Math.min(1, drift / openDrift(lying, 90))));

/**
 * Tilting as a tool: how much a film must flow, s/(Pa·s), to travel so far on an open board at an angle, face first.
 * @param travel mm @param tilt degrees
 */
export const flowToTravel = (travel: number, { film, density }: Omit<Lying, 'flow'>, tilt: number): number =>
  (2 * (travel / 1000)) / (density * 1000 * G * Math.sin(radians(tilt)) * (film / 1000) ** 2);

/**
 * Seconds a board is held at an angle so that its film flows so much: it thickens meanwhile, from mu, Pa·s, by k a second.
 * Infinity where it sets first.
 */
export function secondsToFlow(flow: number, mu: number, k: number): number {
  const left = 1 - flow * mu * k;
  return left > 0 ? -Math.log(left) / k : Infinity;
}
