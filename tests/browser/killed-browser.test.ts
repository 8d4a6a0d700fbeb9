import assert from 'node:assert/strict';
import { test } from 'node:test';
import { demoServer } from './help';
import { Mortal } from './killed';
import { killedWhilePouring } from './killed-pour';

test('a pour of two panels, its browser killed at 40 moments: the log is what was pressed', { timeout: 900_000 }, async () => {
  const mortal = new Mortal();
  try {
    const differ = await killedWhilePouring(await demoServer(), 40, { open: () => mortal.page(), kill: () => mortal.kill() }, 23);
    assert.equal(differ, 0);
  } finally {
    await mortal.end();
  }
});
