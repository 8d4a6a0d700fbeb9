import { writeStudio, type PourEvent } from '#core/document';
import { readStudio } from './studio';

/** The text of the studio's file with what of a pour is held and not on the disk. */
export async function heldText(pourId: string, held: readonly PourEvent[]): Promise<string> {
  const studio = await readStudio();
  if (!studio) throw new Error('There is no studio to export yet.');
  const pours = studio.pours.map((pour) => {
    const last = pour.events.at(-1)?.seq ?? 0;
    return pour.id === pourId ? { ...pour, events: [...pour.events, ...held.filter((e) => e.seq > last)] } : pour;
  });
  return writeStudio({ ...studio, pours });
}
