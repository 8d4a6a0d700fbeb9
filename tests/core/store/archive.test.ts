import assert from 'node:assert/strict';
import { test } from 'node:test';
import { BlobWriter, TextReader, ZipWriter } from '@zip.js/zip.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { writeStudio, type Photo, type Studio } from '#core/document';
import { archiveProblem, photoPath, readSums, STUDIO_FILE, SUMS_FILE, writeSums } from '#core/formats';
import { pack, unpack, type ArchivedImage } from '../../../src/lib/work/archive';
import { sample } from '../../factories';

const told = (): void => undefined;
const picture = (id: string): Blob => new Blob([`picture of ${id} `.repeat(400)], { type: 'image/jpeg' });
const sumOf = async (blob: Blob): Promise<string> => bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));

async function withPhotos(): Promise<{ studio: Studio; images: ArchivedImage[] }> {
  const ids = ['photo-a', 'photo-b'];
  const images = ids.map((photoId): ArchivedImage => ({ photoId, size: 'kept', blob: picture(photoId) }));
  const photos = await Promise.all(
    images.map(async ({ photoId, blob }): Promise<Photo> => ({
      id: photoId,
      name: 'one',
      takenAt: '2026-11-20T10:00:00Z',
      width: 800,
      height: 600,
      bytes: blob.size,
      sum: await sumOf(blob),
      pieceId: 'jetty-rail',
    })),
  );
  return {
    studio: { ...sample(), photos },
    images: [...images, { photoId: 'photo-a', size: 'original', blob: new Blob(['the original'], { type: 'image/png' }) }],
  };
}
async function* each(images: ArchivedImage[]): AsyncGenerator<ArchivedImage> {
  yield* images;
}
/** An archive of files by their paths, as any tool may make it. */
async function zipped(files: Record<string, string>, level = 0): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter('application/zip'), { level });
  for (const [path, text] of Object.entries(files)) await zip.add(path, new TextReader(text));
  return zip.close();
}
const refused = async (file: Blob): Promise<string> => {
  const found = await unpack(file, 'backup.zip', told);
  assert.ok(!found.ok);
  assert.match(found.says, /^backup\.zip was not opened\. /);
  return found.says;
};

test('a backup holds the studio and its pictures, comes back the same, and packs to the same bytes again', async () => {
  const { studio, images } = await withPhotos();
  const blob = await pack(studio, each(images), 3, told);
  const found = await unpack(blob, 'backup.zip', told);
  assert.ok(found.ok, found.ok ? '' : found.says);
  assert.equal(writeStudio(found.studio), writeStudio(studio));
  assert.deepEqual(found.pictured, ['photo-a', 'photo-b']);
  const out: [string, string, string][] = [];
  for await (const { photoId, size, blob: b } of found.images()) out.push([photoId, size, await b.text()]);
  assert.deepEqual(
    out.map(([id, size]) => [id, size]),
    [
      ['photo-a', 'kept'],
      ['photo-b', 'kept'],
      ['photo-a', 'original'],
    ],
  );
  assert.equal(out[0]![2], await picture('photo-a').text());
  const again = await pack(studio, each(images), 3, told);
  assert.deepEqual(new Uint8Array(await again.arrayBuffer()), new Uint8Array(await blob.arrayBuffer()));
});

test('an archive cut short, of no studio, with a wrong checksum or a changed picture says so', async () => {
  const { studio, images } = await withPhotos();
  const blob = await pack(studio, each(images), 3, told);
  assert.match(await refused(blob.slice(0, blob.size - 400)), /cut short/);
  assert.match(await refused(blob.slice(0, 40)), /cut short/);
  assert.match(await refused(new Blob([])), /empty/);
  assert.match(await refused(await zipped({ 'holiday.txt': 'sun' })), /no studio\.nerite\.json/);
  const text = writeStudio(studio);
  const wrong = writeSums(new Map([[STUDIO_FILE, 'a'.repeat(64)]]));
  assert.match(await refused(await zipped({ [STUDIO_FILE]: text, [SUMS_FILE]: wrong })), /checksum does not match/);
  assert.match(await refused(await zipped({ [STUDIO_FILE]: text })), /checksum does not match/);
  // a picture that is not what was packed stays out, and the rest comes in
  const sums = new Map([
    [STUDIO_FILE, await sumOf(new Blob([text]))],
    [photoPath('photo-a'), studio.photos![0]!.sum],
  ]);
  const damaged = await unpack(
    await zipped({ [STUDIO_FILE]: text, [photoPath('photo-a')]: 'other', [SUMS_FILE]: writeSums(sums) }),
    'backup.zip',
    told,
  );
  assert.ok(damaged.ok);
  assert.deepEqual([damaged.pictured, damaged.missing], [[], ['photo-a', 'photo-b']]);
});

test('paths that climb out and an archive that grows beyond belief are refused before anything is unpacked', async () => {
  const text = writeStudio(sample());
  for (const path of ['../evil.jpg', '/etc/passwd', 'photos/../../x', 'C:/x', 'photos\\..\\x'])
    assert.match(
      archiveProblem([
        { path: STUDIO_FILE, packed: 10, unpacked: 10 },
        { path, packed: 1, unpacked: 1 },
      ])!,
      /outside of it/,
      path,
    );
  assert.match(await refused(await zipped({ [STUDIO_FILE]: text, '../evil.jpg': 'x' })), /outside of it/);
  const bomb = await zipped({ [STUDIO_FILE]: text, 'photos/zeros.jpg': '0'.repeat(80_000_000) }, 9);
  assert.ok(bomb.size < 4e6);
  assert.match(await refused(bomb), /would grow from \d+ MB to 8\d MB/);
  assert.equal(archiveProblem([{ path: STUDIO_FILE, packed: 1000, unpacked: 15_000 }]), undefined, 'a small text may well pack to a tenth');
});

test('checksums are written and read as the common tools do', () => {
  const sums = new Map([
    ['photos/b.jpg', 'b'.repeat(64)],
    ['a file.txt', 'a'.repeat(64)],
  ]);
  const text = writeSums(sums);
  assert.equal(text, `${'a'.repeat(64)}  a file.txt\n${'b'.repeat(64)}  photos/b.jpg\n`);
  assert.deepEqual(readSums(text), new Map([...sums].sort()));
  assert.deepEqual(readSums(`${'C'.repeat(64)} *c.bin\r\nnot a sum\n`), new Map([['c.bin', 'c'.repeat(64)]]));
});
