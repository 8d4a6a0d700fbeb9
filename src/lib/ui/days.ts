/** Midnight at the beginning of the day so many days after the one a moment lies in; days of the calendar, of 23 or 25 h too. */
export function dayFrom(ms: number, days: number): number {
  const at = new Date(ms);
  return new Date(at.getFullYear(), at.getMonth(), at.getDate() + days).getTime();
}
