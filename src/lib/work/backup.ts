import { proxy } from 'comlink';
import type { BackupWorkOf } from './backup.worker';
import { kept, type Kept, type Progress } from './task';

export type { Looked } from './backup.worker';

/** A worker that packs and unpacks a studio with its pictures; it keeps the archive that was looked at. End it when its screen is left. */
export const backupWork = (): Kept<BackupWorkOf> =>
  kept<BackupWorkOf>(() => new Worker(new URL('./backup.worker.ts', import.meta.url), { type: 'module' }));
export const telling = (tells: Progress): Progress => proxy(tells);
