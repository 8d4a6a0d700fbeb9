import { puddleFilm } from './free-edge';

/** Standard gravity, m/s². */
const G = 9.80665;

/** A line as it is laid: mm across, and mm² of cross-section. */
export interface Line {
  width: number;
  area: number;
}

/** How far a line has spread to each side of its middle by gravity, mm: x = 1.411·(ρg q³τ/3)^(1/5) (Huppert 1982, *J. Fluid Mech.*), q half its cross-section. */
function spread(area: number, flow: number, density: number): number {
  const q = (area / 2) * 1e-6;
  return 1000 * 1.411 * ((density * 1000 * G * q ** 3 * flow) / 3) ** 0.2;
}

/**
 * Where the edge of a line on a wet film has come to, mm from its middle: it spreads until it is drawn into the film.
 * q 16.7 mm², 1.2 Pa·s, 10 min, on 2 mm, 10 mm wide: 32.7 by itself, 17.5 so.
 * @param flow since it was laid, s/(Pa·s) @param film it lies on, mm @param density g/ml
 */
export const wetCreep = ({ width, area }: Line, film: number, flow: number, density: number): number =>
  Math.min(spread(area, flow, density), width / 2 + (1.5 * (area / 2)) / film);

/** The same on dry ground, where it stops as the puddle it makes. */
export const dryCreep = ({ area }: Line, flow: number, density: number): number =>
  Math.min(spread(area, flow, density), area / 2 / puddleFilm(density));
