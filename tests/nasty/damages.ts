type Row = Record<string, unknown>;

/** One thing wrong in what is stored: the row it is in, and how it is made so. */
export interface Damage {
  name: string;
  /** How many things it puts aside. */
  aside: number;
  table: string;
  /** Id or name of the row; the first one where it is left out. */
  of?: string;
  /** The row as it is then; undefined takes it away. */
  spoilt: (row: Row) => Row | undefined;
}

const without = (row: Row, key: string): Row => Object.fromEntries(Object.entries(row).filter(([k]) => k !== key));

/** Of rows: each in one of its own, so that all can be wrong at once. */
export const damagedRows: Damage[] = [
  { name: 'a piece without a sea', aside: 1, table: 'pieces', of: 'kelp-cove-2', spoilt: (p) => without(p, 'sea') },
  {
    name: 'a piece with an unknown kind of coat',
    aside: 1,
    table: 'pieces',
    of: 'jetty-rail',
    spoilt: (p) => ({ ...p, coats: [{ ...(p['coats'] as Row[])[0], kind: 'varnish' }] }),
  },
  { name: 'a piece whose shape is null', aside: 1, table: 'pieces', of: 'kelp-cove-1', spoilt: (p) => ({ ...p, shape: null }) },
  { name: 'a pour whose plan is gone', aside: 1, table: 'pours', of: 'pour-1', spoilt: (p) => without(p, 'planned') },
  {
    name: 'a pour of coats that are not there',
    aside: 1,
    table: 'pours',
    of: 'pour-2',
    spoilt: (p) => ({ ...p, of: [{ pieceId: 'nowhere', coatIds: ['nothing'] }] }),
  },
  { name: 'a container of nothing', aside: 1, table: 'stock', spoilt: (s) => ({ ...s, of: {} }) },
  { name: 'a resin without its times', aside: 1, table: 'resins', spoilt: (r) => ({ ...r, workingMin: 'long' }) },
  {
    name: 'an event of a pour that is not there',
    aside: 1,
    table: 'events',
    spoilt: () => ({ pourId: 'gone', seq: 1, at: '2026-11-25T13:36:00Z', kind: 'done' }),
  },
];

/** Of what every screen reads: one at a time. */
export const damagedHabits: Damage[] = [
  { name: 'settings that are null', aside: 1, table: 'kept', of: 'settings', spoilt: (r) => ({ ...r, value: null }) },
  {
    name: 'settings in a room that is gone',
    aside: 0,
    table: 'kept',
    of: 'settings',
    spoilt: (r) => ({ ...r, value: { ...(r['value'] as Row), roomId: 'elsewhere' } }),
  },
  { name: 'settings that are gone', aside: 0, table: 'kept', of: 'settings', spoilt: () => undefined },
  {
    name: 'habits without a number',
    aside: 1,
    table: 'kept',
    of: 'method',
    spoilt: (r) => ({ ...r, value: without(r['value'] as Row, 'spare') }),
  },
];

/** The row that a damage is done to. */
export const rowOf = (rows: Row[], { of }: Damage): Row => {
  const row = rows.find((r) => of === undefined || r['id'] === of || r['name'] === of);
  if (!row) throw new Error(`no ${of} to be damaged`);
  return row;
};
