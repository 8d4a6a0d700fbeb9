import assert from 'node:assert/strict';
import { test } from 'node:test';
import { BenchClock } from '../../../src/lib/store/clock';

const HOUR = 3_600_000;

/** A bench whose clocks are turned by hand. */
function bench() {
  const hands = { wall: Date.parse('2026-10-25T00:30:00Z'), running: 0, hidden: false, off: 0 };
  const clock = (): BenchClock =>
    new BenchClock({
      wall: () => hands.wall,
      running: () => hands.running,
      hidden: () => hands.hidden,
      read: () => hands.off,
      keep: (off) => (hands.off = off),
    });
  /** Time passes, and both clocks with it, unless the running one stands still in a sleep. */
  const pass = (ms: number, asleep = false): void => {
    hands.wall += ms;
    if (!asleep) hands.running += ms;
  };
  return { hands, clock, pass };
}

test('time passes as it passes', () => {
  const { clock, pass } = bench();
  const c = clock();
  const start = c.now();
  for (let i = 0; i < 100; i++) {
    pass(250);
    c.now();
  }
  assert.equal(c.now() - start, 25_000);
});

test('an hour back or on by hand moves no age, and neither does opening the page again', () => {
  for (const jump of [-HOUR, HOUR]) {
    const { hands, clock, pass } = bench();
    const c = clock();
    const start = c.now();
    pass(60_000);
    hands.wall += jump;
    assert.equal(c.now() - start, 60_000);
    pass(60_000);
    assert.equal(c.now() - start, 120_000);
    assert.equal(clock().now() - start, 120_000);
  }
});

test('a tablet that sleeps with its page put away has slept, and the film has aged', () => {
  const { hands, clock, pass } = bench();
  const c = clock();
  const start = c.now();
  hands.hidden = true;
  c.turn();
  pass(2 * HOUR, true);
  hands.hidden = false;
  c.turn();
  assert.equal(c.now() - start, 2 * HOUR);
  assert.equal(c.skipped, 0);
});

test('a lid closed without a word is asked about: it counts when it was sleep', () => {
  const { clock, pass } = bench();
  const c = clock();
  const start = c.now();
  pass(HOUR, true);
  assert.equal(c.now() - start, 0);
  assert.equal(c.skipped, HOUR);
  c.settle(true);
  assert.equal(c.now() - start, HOUR);
  assert.equal(c.skipped, 0);
});

test('a clock that was set says no more once that was answered, and goes by the wall again with the next pour', () => {
  const { hands, clock, pass } = bench();
  const c = clock();
  pass(1000);
  hands.wall += HOUR;
  const before = c.now();
  c.settle(false);
  assert.equal(c.now(), before);
  c.reset();
  assert.equal(c.now(), hands.wall);
});
