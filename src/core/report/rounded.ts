/** Figures are rounded to a thousandth of their unit, so that equal plans print equal text. */
export const r = (value: number): number => Math.round(value * 1000) / 1000;
