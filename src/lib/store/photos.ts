import type { Photo } from '#core/document';
import { db } from './db';
import { editRows, LOG, type Row } from './edits';
import type { StoredImage } from './rows';

export type ImageSize = StoredImage['size'];

/** A photograph's picture in one of its sizes; undefined where it is not in this browser. */
export const imageOf = async (photoId: string, size: ImageSize): Promise<Blob | undefined> => (await db.images.get([photoId, size]))?.blob;

/** Puts a photograph on the list, with its pictures; undone with the log. */
export function addPhoto(photo: Photo, images: { thumb: Blob; kept: Blob; original?: Blob }): Promise<void> {
  const rows = (Object.entries(images) as [ImageSize, Blob | undefined][]).flatMap(([size, blob]) =>
    blob ? [{ photoId: photo.id, size, blob }] : [],
  );
  // the pictures first: a row that is listed has one
  return db.images.bulkPut(rows).then(() => editRows(LOG, 'Add a photo', [{ table: 'photos', id: photo.id, row: photo }]));
}

const withFields = (photo: Photo, change: Change): Photo =>
  Object.fromEntries(Object.entries({ ...photo, ...change }).filter(([, v]) => v !== undefined)) as Photo;

type Change = { [K in keyof Photo]?: Photo[K] | undefined };

/** Changes what is written of some photographs, each alike or each in its own way; undone with the log. */
export function changePhotos(photos: readonly Photo[], label: string, change: Change | ((photo: Photo) => Change)): Promise<void> {
  const of = (photo: Photo): Change => (typeof change === 'function' ? change(photo) : change);
  return editRows(
    LOG,
    label,
    photos.map((photo): Row => ({ table: 'photos', id: photo.id, row: withFields(photo, of(photo)), was: photo })),
  );
}

/** Takes photographs off the list; their pictures stay until nothing brings them back. */
export const removePhotos = (photos: readonly Photo[]): Promise<void> =>
  editRows(
    LOG,
    photos.length === 1 ? 'Remove a photo' : `Remove ${photos.length} photos`,
    photos.map((photo): Row => ({ table: 'photos', id: photo.id, row: null })),
  );

/** Throws away pictures that nothing names any more: no photograph, no edit that could bring one back, not the studio before. */
export function tidyImages(): Promise<void> {
  return db.transaction('rw', [db.images, db.photos, db.edits, db.before], async () => {
    const ids = new Set((await db.images.orderBy('photoId').uniqueKeys()) as string[]);
    for (const id of (await db.photos.toCollection().primaryKeys()) as string[]) ids.delete(id);
    if (!ids.size) return;
    await db.edits
      .where('scope')
      .equals(LOG)
      .each(({ changes }) => changes.forEach((c) => c.table === 'photos' && ids.delete(c.id)));
    await db.before
      .where('[list+id]')
      .between(['photos', ''], ['photos', '\uffff'])
      .each((row) => ids.delete(row.id));
    if (ids.size)
      await db.images
        .where('photoId')
        .anyOf([...ids])
        .delete();
  });
}

/** Pictures as they go into an archive, one by one: thumbnails are made again from them. */
export async function* imagesToPack(): AsyncGenerator<{ photoId: string; size: 'kept' | 'original'; blob: Blob }> {
  for (const id of (await db.photos.toCollection().primaryKeys()) as string[])
    for (const size of ['kept', 'original'] as const) {
      const blob = await imageOf(id, size);
      if (blob) yield { photoId: id, size, blob };
    }
}
export const packedCount = (): Promise<number> => db.images.filter((i) => i.size !== 'thumb').count();

/** Stores pictures that came out of an archive. */
export const putImages = async (images: StoredImage[]): Promise<void> => void (await db.images.bulkPut(images));
