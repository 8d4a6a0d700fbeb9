import diff, { type Difference } from 'microdiff';

/**
 * What an edit changed in a thing, field by field, so that taking it back leaves what else was changed meanwhile. Things in
 * lists are told by their ids and not by their places; a list of anything else is one field.
 */
export type Patch = Difference[];

type Keyed = Record<string, unknown>;

/** Marks of a list in its keyed form: the order of its things, or all of it as one text. */
const [ORDER, WHOLE] = ['#order', '#whole'];

const isThing = (value: unknown): value is { id: string } =>
  typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string';

/** A value as a tree of fields. */
function keyed(value: unknown): unknown {
  if (Array.isArray(value)) {
    if (!value.every(isThing) || new Set(value.map((t) => t.id)).size < value.length) return { [WHOLE]: JSON.stringify(value) };
    return { [ORDER]: value.map((t) => t.id).join('\n'), ...Object.fromEntries(value.map((t) => [t.id, keyed(t)])) };
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .map(([k, v]) => [k, keyed(v)]),
  );
}

function unkeyed(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { [ORDER]: order, [WHOLE]: whole, ...fields } = value as Keyed;
  const ids = Object.keys(fields);
  if (typeof whole === 'string' && !ids.length) return JSON.parse(whole);
  if (typeof order === 'string' || typeof whole === 'string') {
    const known = lines(order).filter((id) => id in fields);
    return [...known, ...ids.filter((id) => !known.includes(id))].map((id) => unkeyed(fields[id]));
  }
  return Object.fromEntries(Object.entries(fields).map(([k, v]) => [k, unkeyed(v)]));
}

const lines = (order: unknown): string[] => (typeof order === 'string' && order ? order.split('\n') : []);

/** A change of order brought into an order that has changed meanwhile: what came and went does so, what was moved follows. */
function reordered(now: unknown, from: unknown, to: unknown): string {
  const [old, wanted] = [lines(from), lines(to)];
  const kept = lines(now).filter((id) => !old.includes(id) || wanted.includes(id));
  const common = wanted.filter((id) => kept.includes(id));
  const placed = kept.map((id) => (common.includes(id) ? common[kept.filter((k) => common.includes(k)).indexOf(id)]! : id));
  wanted.forEach((id, i) => {
    if (placed.includes(id)) return;
    const after = wanted.slice(0, i).findLast((w) => placed.includes(w));
    placed.splice(after === undefined ? 0 : placed.indexOf(after) + 1, 0, id);
  });
  return placed.join('\n');
}

/** What is different between two states of a thing. */
export const patchBetween = (before: object, after: object): Patch => diff(keyed(before) as Keyed, keyed(after) as Keyed);

function applyOne(root: Keyed, step: Difference, way: 'forth' | 'back'): void {
  const path = step.path.map(String);
  let parent: Keyed | undefined = root;
  for (const key of path.slice(0, -1)) {
    const next: unknown = parent[key];
    // what it belongs to was taken away meanwhile
    if (typeof next !== 'object' || next === null) return;
    parent = next as Keyed;
  }
  const key = path.at(-1)!;
  const before: unknown = step.type === 'CREATE' ? undefined : step.oldValue;
  const after: unknown = step.type === 'REMOVE' ? undefined : step.value;
  const [from, to] = way === 'forth' ? [before, after] : [after, before];
  if (key === ORDER && to !== undefined) parent[key] = reordered(parent[key], from, to);
  else if (to === undefined) delete parent[key];
  else parent[key] = structuredClone(to);
}

/** A thing with an edit done or taken back, whatever else has become of it. */
export function patched<T extends object>(thing: T, patch: Patch, way: 'forth' | 'back'): T {
  const root = keyed(thing) as Keyed;
  for (const step of way === 'forth' ? patch : [...patch].reverse()) applyOne(root, step, way);
  return unkeyed(root) as T;
}
