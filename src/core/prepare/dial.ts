import { boxOf, type Piece, type Point } from '#core/document';

/** One hour mark of a clock face: its hour, and its place on the board, mm. Twelve is at the far side, where it hangs. */
export interface HourMark extends Point {
  hour: number;
}

/** The twelve marks of a clock's dial; none without a clock. */
export function hourMarks({ shape, clock }: Pick<Piece, 'shape' | 'clock'>): HourMark[] {
  if (!clock) return [];
  const [w, h] = boxOf(shape);
  return Array.from({ length: 12 }, (_, i) => {
    const angle = ((i + 1) * Math.PI) / 6;
    return { hour: i + 1, x: w / 2 + clock.dial * Math.sin(angle), y: h / 2 - clock.dial * Math.cos(angle) };
  });
}
