import { emptyStudio } from '#core/craft';
import { movedTo } from '#core/edit';
import { openStudio, writeStudio, type Studio } from '#core/document';
import { toldStudio } from '#core/pour';
import { readBefore } from './before';
import { isStarted, readStudio, replaceStudio } from './studio';

/** When the sample studio was recorded, ms since 1970; it is moved to now. */
const SAMPLE_NOW = Date.parse('2026-11-25T13:36:00Z');

/** The text of the studio's file. What could not be read was put aside before, so that it opens again. */
export async function exportText(): Promise<string> {
  const studio = await readStudio();
  if (!studio) throw new Error('There is no studio to export yet.');
  return writeStudio(studio);
}

/** Bytes a studio takes on the disk beside the one it replaces, which is kept: its text, and as much again for indexes. */
const bytesFor = (studio: Studio): number => 2 * JSON.stringify(studio).length;

/**
 * Puts a studio in the place of the one here.
 * @throws Error before anything is touched, where the disk has no room for both
 */
export async function takeStudio(studio: Studio): Promise<void> {
  const { quota, usage = 0 } = (await navigator.storage?.estimate?.()) ?? {};
  const needed = bytesFor(studio);
  if (quota !== undefined && needed > quota - usage)
    throw new Error(
      `This studio needs about ${megabytes(needed)} on the disk, and the browser has ${megabytes(Math.max(0, quota - usage))} left. Free some space and open it again; nothing was changed.`,
    );
  await replaceStudio(studio);
}

const megabytes = (bytes: number): string => `${Math.max(1, Math.round(bytes / 1e6))} MB`;

/** The sample studio, moved so that its last pour was today or yesterday. */
async function sampleStudio(): Promise<ReturnType<typeof emptyStudio>> {
  const answer = await fetch('/api/sample');
  const opened = openStudio(await answer.text());
  if (!opened.ok) throw new Error('The sample studio that came with this Nerite does not open.');
  return movedTo(toldStudio(opened.studio), SAMPLE_NOW, Date.now());
}

/** Begins with an empty studio; what was there is kept to be brought back. */
export const startEmpty = (): Promise<void> => replaceStudio(emptyStudio());
/** Brings the sample studio; what was there is kept to be brought back. */
export const bringSample = async (): Promise<void> => replaceStudio(await sampleStudio());

/** Puts back what stood here before the studio was last replaced. */
export async function bringBack(): Promise<void> {
  const before = await readBefore();
  if (before) await replaceStudio(before);
}

/** First start in this browser: the sample where this is the demo, else an empty studio. Does nothing later. */
export async function firstStart(): Promise<void> {
  if (await isStarted()) return;
  const { sample } = (await (await fetch('/api/start')).json()) as { sample: boolean };
  await (sample ? bringSample() : startEmpty());
}
