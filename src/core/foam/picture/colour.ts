/** White scatters a little less in the red and more in the blue. */
const TINGE = [0.96, 1, 1.06] as const;
/** What the air turns back at the surface, from outside and from inside. */
const [OUTSIDE, INSIDE] = [0.04, 0.6];

/** Reflectance of a scattering, not absorbing layer over a ground (Kubelka and Munk 1931, K = 0). @param sx scattering by its thickness */
export const whiteOver = (sx: number, ground: number): number => (sx + ground * (1 - sx)) / (1 + sx - sx * ground);

/** What leaves the film of what is inside it (Saunderson 1942). */
export const throughAir = (r: number): number => OUTSIDE + ((1 - OUTSIDE) * (1 - INSIDE) * r) / (1 - INSIDE * r);

const CURVE = new Uint8ClampedArray(4096);
for (let i = 0; i < CURVE.length; i++) {
  const v = i / (CURVE.length - 1);
  CURVE[i] = Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
}
/** A linear value as a byte of sRGB (IEC 61966-2-1). */
export const byteOf = (linear: number): number => CURVE[Math.min(4095, Math.max(0, Math.round(linear * 4095)))]!;

/**
 * A place's colour: mist over the ground, white over the mist, and the air.
 * @param mist, white mm @param scatter 1/mm @param ground reflectance below, inside the film, 0 to 1 @param band 0 red, 1 green, 2 blue
 */
export function colourOf(mist: number, white: number, scatter: number, ground: number, band: 0 | 1 | 2): number {
  const s = scatter * TINGE[band];
  return throughAir(whiteOver(s * white, whiteOver(s * mist, ground)));
}
