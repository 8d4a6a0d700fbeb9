import assert from 'node:assert/strict';

/** Equal to within a tolerance, by default the last digit of the reference value as it is written. */
export function near(actual: number, expected: number, within?: number): void {
  const digits = String(expected).split('.')[1]?.length ?? 0;
  const tolerance = within ?? 0.5000001 * 10 ** -digits;
  assert.ok(Math.abs(actual - expected) <= tolerance, `${actual} is not ${expected} to within ${tolerance}`);
}

export const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0);
