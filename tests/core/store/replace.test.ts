import assert from 'node:assert/strict';
import { test } from 'node:test';
import { sampleStored } from './stored';
import type { Pour, Studio } from '#core/document';
import { readBefore } from '../../../src/lib/store/before';
import { db } from '../../../src/lib/store/db';
import { failureSays } from '../../../src/lib/store/failure';
import { readStudio, replaceStudio } from '../../../src/lib/store/studio';

/** A studio with so many pours, all planned from the same resins, colourants and method but one in ten. */
const withPours = (studio: Studio, count: number): Studio => ({
  ...studio,
  pours: Array.from({ length: count }, (_, i): Pour => {
    const from = studio.pours[0]!;
    const { method } = from.planned;
    return {
      ...from,
      id: `pour-${String(i).padStart(4, '0')}`,
      planned: { ...from.planned, method: i % 10 ? method : { ...method, spare: 0.01 + i / 1e5 } },
    };
  }),
});

test('a studio of hundreds of pours takes the place of another, and both come back whole; equal snapshots stand once', async () => {
  const sample = await sampleStored();
  const large = withPours(sample, 300);
  const second = { ...large, settings: { ...large.settings, length: 'in' as const } };
  await replaceStudio(large);
  assert.deepEqual((await readStudio())!.pours, large.pours);
  assert.equal(await db.snapshots.count(), 2 + 1 + 30, 'resins, colourants, the method, and thirty that differ');
  await replaceStudio(second);
  assert.deepEqual((await readStudio())!.pours, second.pours);
  assert.deepEqual((await readBefore())!.pours, large.pours, 'the one that was here is kept');
});

test('a studio that cannot be stored leaves the one that is there, and the one before it', async () => {
  const first = await sampleStored();
  const second = withPours(first, 3);
  await replaceStudio(second);
  const twice = { ...second, pieces: [...second.pieces, second.pieces[0]!] };
  const error = await replaceStudio(twice).catch((e: unknown) => e);
  assert.equal(
    failureSays(error),
    'The browser broke off while this was being stored, so none of it was. What you typed is still here; try again.',
  );
  assert.deepEqual((await readStudio())!.pours, second.pours);
  assert.deepEqual((await readBefore())!.pours, first.pours);
});
