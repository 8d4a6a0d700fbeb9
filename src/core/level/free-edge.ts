/** Standard gravity, m/s². */
const G = 9.80665;
/** Surface tension of resin against air, N/m. */
const GAMMA = 0.045;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Capillary length of resin, mm: 2.042 at 1.10 g/ml.
 * (de Gennes, Brochard-Wyart, Quéré, *Capillarity and Wetting Phenomena*, ch. 2.)
 * @param density g/ml
 */
export const capillaryLength = (density: number): number => 1000 * Math.sqrt(GAMMA / (density * 1000 * G));

/** Film at which a free puddle stops advancing over a ground it wets at `angle` degrees, mm: 1.397 at 40°. */
export const puddleFilm = (density: number, angle = 40): number => 2 * capillaryLength(density) * Math.sin(radians(angle) / 2);

/** Film below which a spread coat draws back, mm, by the receding angle of its ground: 0.356 at 10°. */
export const drawsBackBelow = (density: number, receding: number): number => puddleFilm(density, receding);

/** Receding angles, degrees, of what a coat may be laid on. */
export const RECEDING = { 'primed, scuffed or wet': 10, 'glossy cured coat': 20, 'grease or silicone': 60 } as const;

/** Most film a clean sharp edge holds before it runs over, mm: 3.702 (Oliver, Huh, Mason 1977). */
export const edgeHolds = (density: number, angle = 40): number => puddleFilm(density, angle + 90);

/** From this share of what an edge holds it is warned of. */
export const EDGE_WARN = 0.8;
