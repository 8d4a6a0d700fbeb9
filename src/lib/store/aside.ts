import { db } from './db';
import type { Aside } from './rows';

export type { Aside };

/** What was put aside because it could not be read, oldest first. */
export const readAside = (): Promise<Aside[]> => db.aside.toArray();

/** Throws one away that was put aside. */
export const removeAside = (id: number): Promise<void> => db.aside.delete(id);
