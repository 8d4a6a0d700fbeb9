/** "coast-3": the first of its kind that is not taken. */
export function freeId(stem: string, taken: { id: string }[]): string {
  let n = 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
