import { convertLrgbToOklab, convertOklabToLrgb, convertRgbToLrgb, parseHex } from 'culori/fn';
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

/** Glossy grounds as seen through their own surface: a white sheet of plastic, resin cured over white. */
const GLOSSY: Record<string, Rgb> = {
  'varnished wood': [0.34, 0.2, 0.09],
  ceramic: [0.74, 0.73, 0.7],
  glass: [0.62, 0.66, 0.65],
  plastic: [0.8, 0.8, 0.8],
  'cured resin': [0.72, 0.71, 0.66],
};

export interface Ground {
  /** Reflectance that a coat laid on it meets. */
  internal: Rgb;
  /** What is seen where it stays bare. */
  bare: Rgb;
}

const matt = (measured: Rgb): Ground => ({ internal: measured, bare: measured });
const glossy = (seen: Rgb): Ground => ({ internal: [internalOf(seen[0]), internalOf(seen[1]), internalOf(seen[2])], bare: seen });

/** Linear sRGB of "#rrggbb". */
export const linear = (hex: string): Rgb => {
  const { r, g, b } = convertRgbToLrgb(parseHex(hex)!);
  return [r, g, b];
};

/** A place along colours that are graded into each other, evenly for the eye (OKLab). @param depth 0 the first, 1 the last */
function gradedAt(colours: string[], depth: number): Rgb {
  const place = depth * (colours.length - 1);
  const k = Math.min(Math.max(0, colours.length - 2), Math.floor(place));
  const [from, to] = [colours[k]!, colours[k + 1] ?? colours[k]!].map((hex) => {
    const [r, g, b] = linear(hex);
    return convertLrgbToOklab({ r, g, b });
  });
  const t = place - k;
  const mix = (a: number, b: number): number => a + (b - a) * t;
  const { r, g, b } = convertOklabToLrgb({ l: mix(from!.l, to!.l), a: mix(from!.a, to!.a), b: mix(from!.b, to!.b) });
  const held = (v: number): number => Math.min(1, Math.max(0, v));
  return [held(r), held(g), held(b)];
}

const isPainted = ({ primer, ground }: Surface): boolean => ground === 'painted' || (primer === 'paint' && !ground);

/** What becomes of the ground's colour: whether the models know it. Not that of foil, of paint that was not named, or of a bare relief. */
export const groundKnown = (surface: Surface): boolean => {
  if (isPainted(surface)) return surface.colours !== undefined;
  return !surface.ground && !surface.relief;
};

/** Whether the artist's own colours are what is seen: of paint, or of a board that nothing hides. Gesso and foil hide them. */
export const ownColours = (surface: Surface): boolean => isPainted(surface) || (!surface.ground && surface.primer !== 'gesso');

/**
 * The ground a board offers to its first coat: its paint; gesso, which hides the board; or the board itself, which a clear
 * sealer or a scuff leaves to be seen.
 * @param depth where on it, 0 the deep to 1 the beach: paint may be graded
 */
export function groundOf(surface: Surface, depth = 0.5): Ground {
  const own = ownColours(surface) && surface.colours ? gradedAt(surface.colours, depth) : undefined;
  if (isPainted(surface)) return matt(own ?? MATT['gesso']!);
  if (surface.primer === 'gesso') return matt(MATT['gesso']!);
  const shiny = GLOSSY[surface.material];
  return shiny ? glossy(own ?? shiny) : matt(own ?? MATT[surface.material]!);
}

/** A beach of sand in resin hides what is below it. */
export const sandGround: Ground = matt(MATT['sand']!);
/** Ordinary grey gravel, dry. */
const GRAVEL: Rgb = [0.3, 0.28, 0.25];

/** Scattering of packed grains, per mm: light comes back out of a bed of sand within a millimetre or two. */
const GRAINS = 4;

/**
 * Grains in tinted resin, as a layer that hides: K and S of the grains from their own colour, k/s = (1 − R)²/2R, and those of
 * what lies between them, as seen in a bed without end, R∞ = 1 + K/S − √((K/S)² + 2 K/S).
 * @param colour of the dry grains, "#rrggbb"; ordinary sand or gravel where it is left out
 * @param between absorption and scattering of the tinted resin per mm, and the share of the bed it takes
 */
export function grainGround(of: 'sand' | 'gravel', colour?: string, between?: { absorb: Rgb; scatter: Rgb; share: number }): Ground {
  const own = colour === undefined ? (of === 'gravel' ? GRAVEL : MATT['sand']!) : linear(colour);
  if (!between) return matt(own);
  const tinted = (c: 0 | 1 | 2): number => {
    const R = Math.min(0.999, Math.max(0.001, own[c]));
    const K = (GRAINS * (1 - R) ** 2) / (2 * R) + between.share * between.absorb[c];
    const ratio = K / (GRAINS + between.share * between.scatter[c]);
    return 1 + ratio - Math.sqrt(ratio * (ratio + 2));
  };
  return matt([tinted(0), tinted(1), tinted(2)]);
}

const named: Record<SlopeGround, Ground> = {
  'white primer': matt(MATT['gesso']!),
  'bare wood': matt(MATT['raw wood']!),
  sand: sandGround,
  slate: matt(MATT['slate']!),
};

/** A ground by the name a slope gives it. */
export const groundNamed = (ground: SlopeGround): Ground => named[ground];
