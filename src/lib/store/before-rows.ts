import { lists, type Studio } from '#core/document';
import type { Before } from './rows';

/** The list under which the settings and the method of a studio are kept. */
export const HABITS = 'habits';

/** A studio as rows of its own things, so that none of them is as large as all of it. */
export const beforeRows = (studio: Studio): Before[] => [
  ...lists.flatMap((list) => (studio[list] ?? []).map((row): Before => ({ list, id: row.id, row }))),
  { list: HABITS, id: 'settings', row: studio.settings },
  { list: HABITS, id: 'method', row: studio.method },
];
