import { lengthFigure, plain, type LengthUnit } from '#core/units';

/** Steps a ruler may be marked in, mm: round in the unit it is read in, finest first. */
const steps: Record<LengthUnit, number[]> = {
  mm: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
  cm: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
  in: [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 3, 6, 12, 24].map((inches) => inches * 25.4),
};
/** Marks without a figure between two with one. */
const between: Record<LengthUnit, number> = { mm: 5, cm: 5, in: 4 };

/** A mark of a ruler, mm from its beginning, with its figure where it has one. */
export interface Mark {
  at: number;
  label?: string;
}

/** The step between two figures of a ruler, mm: the finest whose figures have room. @param px a mm on the screen @param room px a figure takes */
export const stepOf = (unit: LengthUnit, px: number, room: number): number =>
  steps[unit].find((mm) => mm * px >= room) ?? steps[unit].at(-1)!;

/** A place on a ruler as it is written on it, without its unit. */
export const figureAt = (mm: number, unit: LengthUnit): string => (unit === 'mm' ? plain(mm, 0) : lengthFigure(mm, unit));

/** Marks of a ruler, from one place to another of something so long, mm. */
export function marksOf(unit: LengthUnit, long: number, from: number, until: number, px: number, room: number): Mark[] {
  const major = stepOf(unit, px, room);
  const minor = between[unit];
  const first = Math.max(0, Math.ceil((Math.max(0, from) / major) * minor - 1e-6));
  const last = Math.floor((Math.min(long, until) / major) * minor + 1e-6);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => {
    const i = first + k;
    const at = (i * major) / minor;
    return { at, ...(i % minor === 0 && { label: figureAt(at, unit) }) };
  });
}
