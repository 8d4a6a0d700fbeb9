import type { SlopeGround, Surface } from '#core/document';
import { internalOf, type Rgb } from './layer';

/** Dry, matt grounds as measured, linear sRGB. They count as they are: that is why wood and sand darken when wetted. */
const MATT: Record<string, Rgb> = {
  gesso: [0.84, 0.83, 0.8],
  'raw wood': [0.55, 0.4, 0.24],
  ply: [0.58, 0.44, 0.28],
  'thin ply': [0.58, 0.44, 0.28],
  canvas: [0.78, 0.76, 0.7],
  mdf: [0.36, 0.24, 0.14],
  slate: [0.055, 0.06, 0.068],
  sand: [0.66, 0.54, 0.37],
};

/** Glossy grounds as seen through their own surface. */
const GLOSSY: Record<string, Rgb> = {
  'varnished wood': [0.34, 0.2, 0.09],
  ceramic: [0.74, 0.73, 0.7],
  glass: [0.62, 0.66, 0.65],
};

export interface Ground {
  /** Reflectance that a coat laid on it meets. */
  internal: Rgb;
  /** What is seen where it stays bare. */
  bare: Rgb;
}

const matt = (measured: Rgb): Ground => ({ internal: measured, bare: measured });
const glossy = (seen: Rgb): Ground => ({ internal: [internalOf(seen[0]), internalOf(seen[1]), internalOf(seen[2])], bare: seen });

/** The ground a board offers to its first coat. Gesso hides the board; a clear sealer or a scuff leaves it. */
export function groundOf(surface: Surface): Ground {
  if (surface.primer === 'gesso' || surface.primer === 'paint') return matt(MATT['gesso']!);
  const shiny = GLOSSY[surface.material];
  return shiny ? glossy(shiny) : matt(MATT[surface.material]!);
}

/** Whether the models know the colour a board offers: not that of paint, foil, a painted pattern or a relief of paste. */
export const groundKnown = ({ primer, ground, relief }: Surface): boolean => primer !== 'paint' && !ground && !relief;

/** A beach of sand in resin hides what is below it. */
export const sandGround: Ground = matt(MATT['sand']!);

const named: Record<SlopeGround, Ground> = {
  'white primer': matt(MATT['gesso']!),
  'bare wood': matt(MATT['raw wood']!),
  sand: sandGround,
  slate: matt(MATT['slate']!),
};

/** A ground by the name a slope gives it. */
export const groundNamed = (ground: SlopeGround): Ground => named[ground];
