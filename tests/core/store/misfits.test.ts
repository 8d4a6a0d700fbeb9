import assert from 'node:assert/strict';
import { test } from 'node:test';
import { openStudio, writeStudio } from '#core/document';
import { damagedHabits, damagedRows, rowOf, type Damage } from '../../nasty/damages';
import { sampleStored } from './stored';
import { readAside } from '../../../src/lib/store/aside';
import { db } from '../../../src/lib/store/db';
import { putMisfitsAside } from '../../../src/lib/store/misfits';
import { readStudio } from '../../../src/lib/store/studio';

async function spoil(damage: Damage): Promise<void> {
  const table = db.table(damage.table);
  const row = rowOf(await table.toArray(), damage);
  const spoilt = damage.spoilt(row);
  await (spoilt ? table.put(spoilt) : table.delete(damage.of!));
}

/** Puts aside what does not fit; what is left is a whole studio, and nothing is found a second time. */
async function putRight(damages: Damage[]): Promise<void> {
  await sampleStored();
  for (const damage of damages) await spoil(damage);
  const aside = damages.reduce((sum, damage) => sum + damage.aside, 0);
  await putMisfitsAside();
  assert.equal((await readAside()).length, aside);
  const opened = openStudio(writeStudio((await readStudio())!));
  assert.equal(opened.ok, true, opened.ok ? '' : JSON.stringify(opened.problems[0]));
  assert.equal(await putMisfitsAside(), 0);
}

for (const damage of [...damagedRows, ...damagedHabits]) test(`${damage.name} is put aside, and the rest stays`, () => putRight([damage]));

test('all rows at once are put aside, and the rest stays', () => putRight(damagedRows));
