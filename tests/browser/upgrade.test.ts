import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import type { Studio } from '#core/document';
import { exportStudio, follow, plainServer, visit } from './help';

const sample = JSON.parse(readFileSync(new URL('../../src/demo/studio.json', import.meta.url), 'utf8')) as Studio;

/** A pour as the version before stored it: of one piece, untold, in the middle of its batch. */
function olderPour(): { pour: object; events: object[] } {
  const { told: _, of, planned, events: _events, ...pour } = sample.pours.find((p) => p.id === 'pour-5')!;
  const { pieces, ...means } = planned;
  const [{ pieceId, coatIds }] = of as [(typeof of)[0]];
  const at = new Date().toISOString();
  const said = [
    { kind: 'mixed', batch: 0 },
    { kind: 'poured', cup: 'ferry-tray-sand/sand' },
    { kind: 'tilted', degrees: 3 },
  ];
  return {
    pour: { ...pour, pieceId, coatIds, planned: { ...means, piece: pieces[0] }, startedAt: at },
    events: said.map((e, i) => ({ ...e, pourId: pour.id, seq: i + 1, at })),
  };
}

/** A browser as it was left by the version that had no shelf: its tables, its one edit of a piece, nothing more. */
function older({ studio, pour }: { studio: Studio; pour: ReturnType<typeof olderPour> }): Promise<void> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open('nerite', 10);
    request.onerror = () => reject(new Error('no database'));
    request.onupgradeneeded = () => {
      const db = request.result;
      for (const name of ['pieces', 'resins', 'colourants', 'rooms']) db.createObjectStore(name, { keyPath: 'id' });
      db.createObjectStore('pours', { keyPath: 'id' }).createIndex('pieceId', 'pieceId');
      db.createObjectStore('events', { keyPath: ['pourId', 'seq'] }).createIndex('pourId', 'pourId');
      db.createObjectStore('kept', { keyPath: 'name' });
      db.createObjectStore('edits', { keyPath: 'id', autoIncrement: true }).createIndex('pieceId', 'pieceId');
    };
    request.onsuccess = () => {
      const db = request.result;
      const all = db.transaction([...db.objectStoreNames], 'readwrite');
      const put = (table: string, rows: unknown[]) => rows.forEach((row) => all.objectStore(table).put(row));
      put('pieces', studio.pieces);
      put('resins', studio.resins);
      put('colourants', studio.colourants);
      put('rooms', studio.rooms);
      put('kept', [
        { name: 'settings', value: studio.settings },
        { name: 'method', value: studio.method },
      ]);
      put('pours', [pour.pour]);
      put('events', pour.events);
      const after = studio.pieces.find((p) => p.id === 'kelp-cove-1')!;
      put('edits', [
        {
          pieceId: after.id,
          label: 'Rename the piece',
          before: { ...after, name: 'Kelp Cove the first' },
          after,
          undone: 0,
          at: Date.now(),
        },
      ]);
      all.oncomplete = () => {
        db.close();
        resolve();
      };
    };
  });
}

visit(
  'a browser from before the shelf keeps everything, gets cups to mix in, and can still undo',
  { server: plainServer, allow: /404/, alone: true },
  async ({ page, base }) => {
    await page.goto(`${base}/api/health`);
    await page.evaluate(older, { studio: sample, pour: olderPour() });
    await page.goto(`${base}/pieces/kelp-cove-1`);
    await page.getByRole('heading', { name: 'Kelp Cove I' }).waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('heading', { name: 'Kelp Cove the first' }).waitFor();
    await follow(page, '/shelf?view=cups');
    await page.getByRole('button', { name: 'name: 300 ml cup' }).waitFor();
    const studio = JSON.parse(await exportStudio(page)) as Studio;
    assert.equal(studio.pieces.length, sample.pieces.length);
    assert.equal(studio.vessels!.length, 4);
    assert.deepEqual(studio.stock, []);
    assert.deepEqual(studio.slopes, []);

    // its pour is told once, and goes on where it was; what no version knows yet is kept
    const [stored] = studio.pours;
    assert.ok(stored!.told!.steps.length > 5);
    assert.deepEqual(
      stored!.events.map((e) => e.kind as string),
      ['mixed', 'poured', 'tilted'],
    );
    await follow(page, '/pour/pour-5');
    await page
      .getByText(/^Lay Deep/)
      .first()
      .waitFor();
    await page.getByText('“tilted”, recorded by a later Nerite').waitFor();
    assert.equal(await exportStudio(page), await exportStudio(page));
  },
);
