/** Places in a report where a number is none, or a text shows that one was none. */
export function unreal(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} = ${value}`];
  if (typeof value === 'string') return /NaN|Infinity|undefined/.test(value) ? [`${path} = ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => unreal(inner, `${path}/${key}`));
}
