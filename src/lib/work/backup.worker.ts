import { expose } from 'comlink';
import { merged, mergingOf, type Merging } from '#core/edit';
import { imagesToPack, packedCount, putImages } from '../store/photos';
import { readStudio } from '../store/studio';
import { takeStudio } from '../store/transfer';
import { pack, unpack, type Unpacked } from './archive';
import { drawn } from './picture-file';
import type { Progress } from './task';

/** What is in an archive, before any of it is stored. */
export type Looked =
  { ok: true; pieces: number; pours: number; photos: number; missing: number; merging: Merging[] } | { ok: false; says: string };

let opened: Unpacked | undefined;

/** The longest side of a thumbnail, px. */
const THUMB = 320;
async function thumbOf(blob: Blob): Promise<Blob | undefined> {
  const canvas = await drawn(blob, { longest: THUMB });
  return canvas?.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
}

const work = {
  /** The whole studio with its pictures as one archive. */
  async pack(told: Progress): Promise<Blob> {
    told('Reading the studio', 0);
    const studio = await readStudio();
    if (!studio) throw new Error('There is no studio to back up yet.');
    return pack(studio, imagesToPack(), await packedCount(), told);
  },
  /** Opens an archive and says what it would change; nothing is stored. */
  async look(file: Blob, name: string, told: Progress): Promise<Looked> {
    await opened?.close();
    opened = undefined;
    const found = await unpack(file, name, told);
    if (!found.ok) return found;
    const here = await readStudio();
    if (!here) return { ok: false, says: 'There is no studio here yet to bring it into.' };
    opened = found;
    return {
      ok: true,
      pieces: found.studio.pieces.length,
      pours: found.studio.pours.length,
      photos: found.pictured.length,
      missing: found.missing.length,
      merging: mergingOf(here, found.studio),
    };
  },
  /** Takes the archive that was looked at: in the place of the studio, or into it. */
  async take(how: 'replace' | 'keep mine' | 'take theirs', told: Progress): Promise<void> {
    if (!opened) throw new Error('Choose the backup again.');
    const { studio, images, pictured } = opened;
    let n = 0;
    for await (const image of images()) {
      told('Storing the photos', n++ / Math.max(1, pictured.length));
      const thumb = image.size === 'kept' ? await thumbOf(image.blob) : undefined;
      await putImages([image, ...(thumb ? [{ photoId: image.photoId, size: 'thumb' as const, blob: thumb }] : [])]);
    }
    told('Storing the studio', 0.98);
    // as it is by now: what was edited since the look is not to be lost
    const here = await readStudio();
    await takeStudio(how === 'replace' || !here ? studio : merged(here, studio, how === 'take theirs' ? 'incoming' : 'here'));
    await opened.close();
    opened = undefined;
  },
};
export type BackupWorkOf = typeof work;

expose(work);
