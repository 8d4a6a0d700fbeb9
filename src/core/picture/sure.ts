import type { PhotoReading } from '#core/document';

/**
 * How far each figure of a reading may be off, in its own unit, nine times of ten. Found with rendered pictures of known answer (the
 * twelve of `simulate`), as what softness, grain, light and fineness did to them; a real board has more in it than they have.
 */
export interface Sure {
  white: number;
  perCm2: number;
  /** Of diameters, mm. */
  cell: number;
  /** Of reaches, mm. */
  reach: number;
  lightness: number;
  /** Degrees. */
  turned: number;
}

/** How far the figures of a reading may be off. */
export function sureOf({
  pxPerMm,
  blur,
  light,
  noise,
  white,
  cells,
  toSea,
}: Pick<PhotoReading, 'pxPerMm' | 'blur' | 'light' | 'noise' | 'white' | 'cells' | 'toSea'>): Sure {
  // what is soft, beside the finest a place can show
  const soft = Math.hypot(blur, 0.5 / pxPerMm);
  const uneven = Math.log(Math.max(1, light));
  return {
    white: 0.006 + white * (0.06 + 0.5 * soft + 0.06 * uneven),
    perCm2: (cells?.perCm2 ?? 0) * (0.08 + 0.8 * soft + 2 * noise),
    cell: 0.1 + 0.6 * soft,
    reach: 1 + 2 * soft + 0.04 * (toSea?.most ?? 0),
    lightness: 0.025 + 0.03 * uneven,
    turned: 0.6,
  };
}
