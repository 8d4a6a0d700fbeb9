import assert from 'node:assert/strict';
import { test } from 'node:test';
import { leftBy } from './stored';
import type { Piece, Pour } from '#core/document';
import { openStudio, writeStudio } from '#core/document';
import { summaryOf } from '#core/record';
import { readAside } from '../../../src/lib/store/aside';
import { readBefore } from '../../../src/lib/store/before';
import { db } from '../../../src/lib/store/db';
import { undo } from '../../../src/lib/store/edits';
import { readPour, readStudio } from '../../../src/lib/store/studio';

for (const version of [1, 2, 3, 4, 5, 6, 7, 8])
  test(`what version ${version} of the database left opens: the studio is whole, its pour is told, and its edits can be undone`, async () => {
    const { rows } = await leftBy(version);
    await db.open();
    const studio = (await readStudio())!;
    const opened = openStudio(writeStudio(studio));
    assert.ok(opened.ok, opened.ok ? '' : JSON.stringify(opened.problems[0]));
    const [piece] = rows['pieces'] as [Piece];
    assert.deepEqual(studio.pieces, [piece]);
    assert.deepEqual(studio.resins, rows['resins']);
    assert.equal(studio.vessels?.length, version === 1 ? 4 : 2);

    const [old] = rows['pours'] as [Pour];
    const pour = (await readPour(old.id))!;
    assert.ok(pour.told!.steps.length > 5, 'told');
    assert.deepEqual(
      pour.events,
      (rows['events'] as { pourId?: string }[]).map(({ pourId: _, ...event }) => event),
      'its events untouched',
    );
    assert.equal(pour.planned.pieces[0]!.id, piece.id);
    assert.deepEqual(await db.summaries.toArray(), [summaryOf(pour)]);

    await undo(piece.id);
    assert.deepEqual((await db.pieces.get(piece.id))!, { ...piece, name: 'Before it was renamed' });
    if (version >= 2) {
      await undo('the shelf');
      assert.equal((await db.vessels.get('cup-9'))?.name, '9 ml cup');
    }
    if (version >= 4) assert.deepEqual((await readBefore())!.pieces, [piece]);
    if (version >= 5) assert.equal((await readAside())[0]!.name, 'a broken one');
  });
