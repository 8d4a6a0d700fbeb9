import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { test } from 'node:test';

test('each day is named once over the nights the clocks change', () => {
  // a process of its own, since the zone of this one is not to change under other tests
  const days = `import { dayFrom } from './src/lib/ui/days.ts';
    for (const at of ['2026-10-23T12:00:00Z', '2026-03-27T12:00:00Z'])
      console.log(Array.from({ length: 5 }, (_, i) => new Date(dayFrom(Date.parse(at), i)).getDate()).join(' '));`;
  const said = execFileSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', days], {
    cwd: new URL('../../..', import.meta.url),
    env: { ...process.env, TZ: 'Europe/Berlin' },
    encoding: 'utf8',
  });
  assert.equal(said.trim(), '23 24 25 26 27\n27 28 29 30 31');
});
