import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readRatio } from '#core/units';

test('a ratio as makers write it', () => {
  for (const [text, a, b] of [
    ['1:1', 1, 1],
    ['2 : 1', 2, 1],
    ['100:83', 100, 83],
    ['3 to 1', 3, 1],
    ['1,5 : 1', 1.5, 1],
  ] as const)
    assert.deepEqual(readRatio(text), { ok: true, a, b });
});

test('what is no ratio says what would be', () => {
  for (const [text, says] of [
    ['2:1:1', /has 3 parts. A resin is mixed of two/],
    ['0:1', /a part of 0 never cures/],
    ['2:-1', /a part of 0 never cures/],
    ['2', /is one number. Write both parts/],
    ['a:b', /is not a ratio/],
    ['200:100', /goes beyond 100/],
    ['', /Give a ratio/],
  ] as const) {
    const reading = readRatio(text);
    assert.ok(!reading.ok, text);
    assert.match(reading.says, says);
  }
});
