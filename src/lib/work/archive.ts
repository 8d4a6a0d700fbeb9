import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import {
  BlobReader,
  BlobWriter,
  configure,
  ERR_UNSAFE_FILENAME,
  TextReader,
  TextWriter,
  ZipReader,
  ZipWriter,
  type Entry,
} from '@zip.js/zip.js';
import { openStudio, writeProblem, writeStudio, type Studio } from '#core/document';
import { archiveProblem, CLIMBS, originalPath, photoPath, readSums, STUDIO_FILE, SUMS_FILE, writeSums } from '#core/formats';
import type { Progress } from './task';

// it runs in a worker already
configure({ useWebWorkers: false });

/** A picture that goes into an archive or comes out of one. */
export interface ArchivedImage {
  photoId: string;
  size: 'kept' | 'original';
  blob: Blob;
}

const sumOf = async (blob: Blob): Promise<string> => bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));

/** A fixed moment, so that the same studio gives the same bytes. */
const WRITTEN = new Date(Date.UTC(2026, 0, 1));

/** A studio and its pictures as one archive. @param images asked for one by one: all of them at once may be more than fits */
export async function pack(studio: Studio, images: AsyncIterable<ArchivedImage>, count: number, told: Progress): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter('application/zip'), {
    level: 0,
    lastModDate: WRITTEN,
    extendedTimestamp: false,
    useUnicodeFileNames: true,
  });
  const sums = new Map<string, string>();
  const text = writeStudio(studio);
  sums.set(STUDIO_FILE, await sumOf(new Blob([text])));
  await zip.add(STUDIO_FILE, new TextReader(text), { level: 6 });
  let n = 0;
  for await (const { photoId, size, blob } of images) {
    told('Packing the photos', Math.min(1, n++ / Math.max(1, count)));
    const path = size === 'kept' ? photoPath(photoId) : originalPath(photoId, blob.type);
    sums.set(path, await sumOf(blob));
    await zip.add(path, new BlobReader(blob));
  }
  await zip.add(SUMS_FILE, new TextReader(writeSums(sums)), { level: 6 });
  return zip.close();
}

/** An archive that was opened: its studio, and its pictures, each read when it is asked for. */
export interface Unpacked {
  studio: Studio;
  /** Photographs that have a picture in it, and those whose picture is not there or does not match its checksum. */
  pictured: string[];
  missing: string[];
  images: () => AsyncGenerator<ArchivedImage>;
  close: () => Promise<void>;
}
export type Unpacking = ({ ok: true } & Unpacked) | { ok: false; says: string };

const types: Record<string, string> = { jpg: 'image/jpeg', jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };
const typeOf = (path: string): string => types[path.split('.').at(-1) ?? ''] ?? 'application/octet-stream';

type FileEntry = Extract<Entry, { directory: false }>;

/** Opens an archive and checks all of it; nothing is stored. */
export async function unpack(file: Blob, name: string, told: Progress): Promise<Unpacking> {
  const no = (says: string): Unpacking => ({ ok: false, says: `${name} was not opened. ${says}` });
  if (file.size === 0) return no('It is empty.');
  const zip = new ZipReader(new BlobReader(file));
  let entries: FileEntry[];
  try {
    entries = (await zip.getEntries()).filter((e): e is FileEntry => !e.directory);
  } catch (error) {
    if (error instanceof Error && error.message === ERR_UNSAFE_FILENAME) return no(CLIMBS);
    return no('It is cut short, or no zip file: its end is missing. Copy it again from where it was kept.');
  }
  const problem = archiveProblem(entries.map((e) => ({ path: e.filename, packed: e.compressedSize, unpacked: e.uncompressedSize })));
  if (problem) return no(problem);
  const at = new Map(entries.map((e) => [e.filename, e]));
  const read = async (path: string): Promise<Blob | undefined> => {
    try {
      return await at.get(path)?.getData(new BlobWriter(typeOf(path)), { checkSignature: true });
    } catch {
      return undefined;
    }
  };
  told('Reading the studio', 0);
  const sumsEntry = at.get(SUMS_FILE);
  const sums = sumsEntry
    ? readSums(await sumsEntry.getData(new TextWriter(), { checkSignature: true }).catch(() => ''))
    : new Map<string, string>();
  const text = await read(STUDIO_FILE);
  if (!text) return no('Its studio cannot be read to the end: the file is damaged. Use another copy.');
  if (sums.get(STUDIO_FILE) !== (await sumOf(text)))
    return no('Its studio is not what was packed: the checksum does not match, so it was changed or damaged on the way. Use another copy.');
  const opened = openStudio(await text.text());
  if (!opened.ok) return no(opened.problems.slice(0, 2).map(writeProblem).join(' '));
  const { studio } = opened;
  const pictured: string[] = [];
  const missing: string[] = [];
  const originals: string[] = [];
  let n = 0;
  for (const photo of studio.photos ?? []) {
    told('Checking the photos', n++ / Math.max(1, studio.photos!.length));
    const path = photoPath(photo.id);
    const blob = await read(path);
    const fits = blob && sums.get(path) === (await sumOf(blob)) && sums.get(path) === photo.sum;
    (fits ? pictured : missing).push(photo.id);
  }
  for (const path of at.keys()) if (path.startsWith('originals/')) originals.push(path);
  const has = new Set(pictured);
  return {
    ok: true,
    studio,
    pictured,
    missing,
    async *images() {
      for (const photoId of pictured) {
        const blob = await read(photoPath(photoId));
        if (blob) yield { photoId, size: 'kept', blob };
      }
      for (const path of originals) {
        const photoId = path.slice('originals/'.length).replace(/\.[^.]+$/, '');
        const blob = has.has(photoId) ? await read(path) : undefined;
        if (blob && sums.get(path) === (await sumOf(blob))) yield { photoId, size: 'original', blob };
      }
    },
    close: () => zip.close(),
  };
}
