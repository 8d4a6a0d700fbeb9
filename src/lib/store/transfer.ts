import { emptyStudio, movedTo, openStudio, writeStudio, type Opened } from '#core/document';
import { toldStudio } from '#core/pour';
import { kept } from './db';
import { isStarted, readStudio, replaceStudio } from './studio';

/** When the sample studio was recorded, ms since 1970; it is moved to now. */
const SAMPLE_NOW = Date.parse('2026-11-25T13:36:00Z');

/** The text of the studio's file. */
export async function exportText(): Promise<string> {
  const studio = await readStudio();
  if (!studio) throw new Error('There is no studio to export yet.');
  return writeStudio(studio);
}

export { replaceStudio };

/** Reads a file without storing anything: a studio, or what is wrong with it. */
export function readFileText(text: string): Opened {
  const opened = openStudio(text);
  return opened.ok ? { ...opened, studio: toldStudio(opened.studio) } : opened;
}

/** The sample studio, moved so that its last pour was today or yesterday. */
async function sampleStudio(): Promise<ReturnType<typeof emptyStudio>> {
  const answer = await fetch('/api/sample');
  const opened = openStudio(await answer.text());
  if (!opened.ok) throw new Error('The sample studio that came with this Nerite does not open.');
  return movedTo(toldStudio(opened.studio), SAMPLE_NOW, Date.now());
}

export const startEmpty = (): Promise<void> => replaceStudio(emptyStudio());
export const bringSample = async (): Promise<void> => replaceStudio(await sampleStudio());

/** Puts back what stood here before the studio was last replaced. */
export async function bringBack(): Promise<void> {
  const before = await kept('before');
  if (before) await replaceStudio(before);
}

/** First start in this browser: the sample where this is the demo, else an empty studio. Does nothing later. */
export async function firstStart(): Promise<void> {
  if (await isStarted()) return;
  const { sample } = (await (await fetch('/api/start')).json()) as { sample: boolean };
  await (sample ? bringSample() : startEmpty());
}
