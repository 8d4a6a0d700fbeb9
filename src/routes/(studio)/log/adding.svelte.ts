import type { Photo } from '#core/document';
import { addPhoto, tidyImages } from '$lib/store/photos';
import { darkroom, develop } from '$lib/work/album';

/** Photographs on their way into the studio, one after the other, so that what is wrong with one holds up none. */
export class Adding {
  /** How many were chosen, and how many are done. */
  of = $state(0);
  done = $state(0);
  /** What could not be taken in, each in a sentence. */
  says = $state.raw<string[]>([]);
  readonly busy = $derived(this.of > this.done);

  /**
   * @param original whether the file is kept as it is beside what is kept of it
   * @param about    what is known of them already
   * @returns those that are on the list now
   */
  async add(files: readonly File[], original: boolean, about: Partial<Photo> = {}): Promise<string[]> {
    if (!files.length) return [];
    [this.of, this.done, this.says] = [files.length, 0, []];
    const room = darkroom();
    const ids: string[] = [];
    try {
      for (const file of files) {
        const id = await this.#one(room, file, original, about);
        if (id) ids.push(id);
        this.done++;
      }
    } finally {
      room.end();
      this.done = this.of;
    }
    await tidyImages();
    return ids;
  }

  async #one(room: ReturnType<typeof darkroom>, file: File, original: boolean, about: Partial<Photo>): Promise<string | undefined> {
    const found = await develop(room, file, file.name);
    if (!found.ok) {
      this.says = [...this.says, found.says];
      return undefined;
    }
    const { kept, thumb, width, height, bytes, sum } = found;
    const id = `photo-${crypto.randomUUID()}`;
    const takenAt = new Date(file.lastModified || Date.now()).toISOString();
    try {
      await addPhoto(
        { id, name: (file.name || 'A photo').slice(0, 80), takenAt, width, height, bytes, sum, ...about },
        { kept, thumb, ...(original && { original: file }) },
      );
      return id;
    } catch (error) {
      const full = error instanceof Error && /quota/i.test(`${error.name} ${error.message}`);
      this.says = [
        ...this.says,
        full
          ? `${file.name} does not fit the room the browser has left. Make a backup, remove photos or originals, and add it again.`
          : `${file.name} could not be stored. Nothing else was touched.`,
      ];
      return undefined;
    }
  }
}
