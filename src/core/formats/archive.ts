/** The file of a backup: one archive with the studio's document, its pictures, and the checksums of both. */

export const STUDIO_FILE = 'studio.nerite.json';
/** Checksums as the common tools write and check them: 64 hexadecimal digits of SHA-256, two blanks, the path. */
export const SUMS_FILE = 'SHA256SUMS';

/** Where a photograph lies in it. */
export const photoPath = (id: string): string => `photos/${id}.jpg`;
/** Where its original lies, with the ending it came with. */
export const originalPath = (id: string, type: string): string =>
  `originals/${id}.${type.replace(/^image\//, '').replace(/[^a-z0-9]/g, '') || 'bin'}`;

/** What an archive says of one of its files before it is unpacked, bytes. */
export interface Packed {
  path: string;
  packed: number;
  unpacked: number;
}

/** Below so much nothing is too large, and no more than so many times what it takes packed is believed. */
const [SMALL, TIMES] = [64e6, 10];
/** Most of one file and of all of them, bytes. */
const [MOST_FILE, MOST] = [1e9, 20e9];

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/** Whether a path stays inside its archive: relative, forward, and never up. */
const stays = (path: string): boolean =>
  path !== '' &&
  !/^([/\\]|[a-z]:)/i.test(path) &&
  !path.includes('\\') &&
  !path.includes('\0') &&
  !path.split('/').some((part) => part === '..' || part === '.');

/** Said of an archive with a path that climbs out of it, as no tool writes by accident. */
export const CLIMBS = 'It has a file that would lie outside of it. A backup made here has none, so this one was changed; nothing was read.';

/** Why an archive is not unpacked, in a sentence; nothing where it may be. */
export function archiveProblem(files: readonly Packed[]): string | undefined {
  if (files.some((f) => !stays(f.path))) return CLIMBS;
  if (!files.some((f) => f.path === STUDIO_FILE))
    return `There is no ${STUDIO_FILE} in it. A backup is one zip file with that at its top; this is something else.`;
  const unpacked = files.reduce((sum, f) => sum + f.unpacked, 0);
  const packed = files.reduce((sum, f) => sum + f.packed, 0);
  if (unpacked > SMALL && unpacked > TIMES * Math.max(1, packed))
    return `It would grow from ${megabytes(packed)} to ${megabytes(unpacked)}, which no backup of pictures does. Nothing was unpacked.`;
  if (unpacked > MOST || files.some((f) => f.unpacked > MOST_FILE))
    return `It holds ${megabytes(unpacked)}, more than a browser keeps. Nothing was unpacked.`;
  return undefined;
}

export const writeSums = (sums: ReadonlyMap<string, string>): string =>
  [...sums]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([path, sum]) => `${sum}  ${path}\n`)
    .join('');

/** Checksums by path; lines that are none are left out. */
export const readSums = (text: string): Map<string, string> =>
  new Map(
    text.split(/\r?\n/).flatMap((line): [string, string][] => {
      const found = /^([0-9a-f]{64}) [ *](.+)$/i.exec(line);
      return found ? [[found[2]!, found[1]!.toLowerCase()]] : [];
    }),
  );
