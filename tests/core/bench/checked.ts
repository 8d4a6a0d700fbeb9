import assert from 'node:assert/strict';
import { openStudio, writeStudio, type Pour } from '#core/document';
import { empty } from '../../factories';

/** A pour as it is stored fits the document, and opens as the same. */
export function checkStudio(pour: Pour): void {
  const text = writeStudio({ ...empty, pieces: pour.planned.pieces, pours: [pour] });
  const opened = openStudio(text);
  assert.ok(opened.ok, opened.ok ? '' : JSON.stringify(opened.problems.slice(0, 3)));
  assert.equal(writeStudio(opened.studio), text);
}
