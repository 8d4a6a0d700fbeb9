/** Standard gravity, m/s². */
const G = 9.80665;
const sine = (degrees: number): number => Math.sin((degrees * Math.PI) / 180);

/** A bead of the mix on a tilted tile: its cross-section, mm², the tile's angle, degrees, and how long it ran, s. */
export interface Bead {
  area: number;
  angle: number;
  seconds: number;
}

/** x³·μ of a bead, m³·Pa·s. @param density g/ml */
const drive = ({ area, angle, seconds }: Bead, density: number): number =>
  (9 * (area * 1e-6) ** 2 * density * 1000 * G * sine(angle) * seconds) / 4;

/**
 * How far a bead runs down a tile, mm: x = (9A²ρg sinθ·t/(4μ))^(1/3) (Huppert 1982, *Nature*). Valid for a run of more than
 * five times the root of its cross-section. 20 mm², 30°, 0.9 Pa·s, 60 s, 1.10 g/ml: 68.66 mm.
 * @param mu Pa·s
 */
export const beadRun = (bead: Bead, mu: number, density: number): number => 1000 * Math.cbrt(drive(bead, density) / mu);

/** The thickness of a mix whose bead ran so far, mm; Pa·s. */
export const beadViscosity = (bead: Bead, run: number, density: number): number => drive(bead, density) / (run / 1000) ** 3;

/** The shortest run that says anything, mm: below it the bead's own width is most of it. */
export const shortestRun = ({ area }: Bead): number => 5 * Math.sqrt(area);
