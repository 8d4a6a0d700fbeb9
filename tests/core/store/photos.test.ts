import assert from 'node:assert/strict';
import { test } from 'node:test';
import { emptied, sampleStored } from './stored';
import type { Photo } from '#core/document';
import { lessonsOf } from '#core/learn';
import { db } from '../../../src/lib/store/db';
import { LOG, redo, undo } from '../../../src/lib/store/edits';
import { giveBack, takeLesson } from '../../../src/lib/store/lessons';
import { addPhoto, changePhotos, imageOf, removePhotos, tidyImages } from '../../../src/lib/store/photos';
import { record, setOutcome } from '../../../src/lib/store/pours';
import { readPour, readStudio, replaceStudio } from '../../../src/lib/store/studio';
import { readSafety } from '../../../src/lib/store/backup';

const photo = (id: string, change: Partial<Photo> = {}): Photo => ({
  id,
  name: `${id}.jpg`,
  takenAt: '2026-11-20T10:00:00.000Z',
  width: 800,
  height: 600,
  bytes: 7,
  sum: '0'.repeat(64),
  ...change,
});
const images = (id: string) => ({ thumb: new Blob([`t ${id}`]), kept: new Blob([`k ${id}`]) });

test('a photo is kept with its pictures, changed, removed and brought back by undo; what nothing names any more is thrown away', async () => {
  await sampleStored();
  await addPhoto(photo('photo-a'), images('photo-a'));
  await addPhoto(photo('photo-b'), images('photo-b'));
  await changePhotos([photo('photo-a')], 'Say which piece', { pieceId: 'jetty-rail', stage: 'hard' });
  assert.equal((await db.photos.get('photo-a'))!.pieceId, 'jetty-rail');
  await removePhotos([(await db.photos.get('photo-b'))!]);
  assert.equal(await db.photos.count(), 1);
  await tidyImages();
  assert.ok(await imageOf('photo-b', 'kept'), 'undo may still bring it back');
  await undo(LOG);
  assert.equal((await db.photos.get('photo-b'))!.name, 'photo-b.jpg');
  await redo(LOG);
  await db.edits.clear();
  await tidyImages();
  assert.equal(await imageOf('photo-b', 'kept'), undefined);
  assert.ok(await imageOf('photo-a', 'thumb'));
  // another studio in its place: the one before can be brought back with its pictures
  await replaceStudio((await readStudio())!);
  await db.photos.clear();
  await tidyImages();
  assert.ok(await imageOf('photo-a', 'kept'));
});

test('how a piece came out and what was measured afterwards are kept with its pour, the latter as events', async () => {
  await sampleStored();
  await setOutcome('pour-3', 'jetty-rail', (was) => ({ ...was, aspects: { lacing: 'poor' }, lesson: 'Wait for the window.' }));
  await setOutcome('pour-3', 'jetty-rail', (was) => ({ ...was, faults: [{ seen: 'no cells' }] }));
  const seq = await record('pour-3', { kind: 'found', what: 'drips', value: 12, piece: 'jetty-rail' });
  const pour = (await readPour('pour-3'))!;
  assert.deepEqual(pour.outcomes, [
    { pieceId: 'jetty-rail', aspects: { lacing: 'poor' }, lesson: 'Wait for the window.', faults: [{ seen: 'no cells' }] },
  ]);
  assert.equal(pour.events.at(-1)!.kind, 'found');
  await record('pour-3', { kind: 'undone', undoes: seq! });
  assert.equal((await readPour('pour-3'))!.events.length, pour.events.length + 1);
  await assert.rejects(
    setOutcome('gone', 'x', (o) => o),
    /not in the log any more/,
  );
});

test('a figure is taken over and given back as one edit each, and undone with the log', async () => {
  const studio = await sampleStored();
  const { method, resins, colourants } = studio;
  const [lesson] = lessonsOf(
    [0, 1, 2, 3].map((i) => ({ figure: 'drip rate', pourId: `p${i}`, at: i, value: 3 })),
    { method, resins, colourants },
  );
  const now = async (): Promise<number> => (await readStudio())!.method.dripPerM;
  await takeLesson(lesson!, 'drips');
  assert.equal(await now(), lesson!.proposed);
  const [learned] = await db.learned.toArray();
  assert.equal(learned!.was, method.dripPerM);
  await undo(LOG);
  assert.equal(await now(), method.dripPerM);
  assert.equal(await db.learned.count(), 0);
  await redo(LOG);
  await giveBack((await db.learned.toArray())[0]!);
  assert.equal(await now(), method.dripPerM);
  assert.equal(await db.learned.count(), 0);
  const resin = resins[0]!;
  const [slow] = lessonsOf(
    [0, 1, 2, 3].map((i) => ({ figure: 'working time', of: resin.id, pourId: `p${i}`, at: i, value: resin.workingMin * 0.7 })),
    { method, resins, colourants },
  );
  await takeLesson(slow!, 'working time');
  assert.equal((await db.resins.get(resin.id))!.workingMin, slow!.proposed);
  await db.resins.delete(resin.id);
  await assert.rejects(giveBack((await db.learned.toArray())[0]!), /not on the shelf any more/);
  assert.equal(await db.learned.count(), 1, 'nothing was changed');
});

test('a backup is old three weeks after the last, or after there was first something to lose', async () => {
  const studio = await sampleStored();
  const first = Math.min(...studio.pours.map((p) => Date.parse(p.startedAt)));
  const day = 86_400_000;
  assert.equal((await readSafety(first + 10 * day)).isOld, false);
  assert.equal((await readSafety(first + 30 * day)).isOld, true);
  await emptied();
  assert.deepEqual(await readSafety(first + 900 * day).then(({ worth, isOld }) => [worth, isOld]), [false, false]);
});
