/** Places are drawn to a tenth of a mm. */
export const tenth = (mm: number): number => Math.round(mm * 10) / 10;
