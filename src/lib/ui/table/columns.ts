/** What was typed into a cell: a value to store, or the sentence that says what would be right. */
export type CellReading = { ok: true; value: unknown } | { ok: false; says: string };

/** How a cell is changed where it stands: by typing, or by taking one of a few words. */
export type CellEdit<T> =
  | {
      kind: 'text';
      text: (row: T) => string;
      read: (text: string, row: T) => CellReading;
      store: (row: T, value: never) => Promise<boolean | void>;
    }
  | {
      kind: 'choice';
      value: (row: T) => string;
      options: (row: T) => { value: string; label: string }[];
      store: (row: T, value: string) => Promise<boolean | void>;
    };

/** A column of a table: its head, what it sorts and filters by, and how it is written. */
export interface TableColumn<T> {
  id: string;
  head: string;
  /** Sorts and filters by this; numbers as numbers, nothing last. */
  value: (row: T) => string | number | undefined;
  /** How it is written, where that is not the value itself. */
  shows?: (row: T) => string;
  right?: boolean;
  /** Long texts go over several lines; all else stays on one. */
  wraps?: boolean;
  edit?: CellEdit<T>;
}

/** What a cell shows as text. */
export const cellText = <T>(column: TableColumn<T>, row: T): string => column.shows?.(row) ?? String(column.value(row) ?? '–');
