import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readDose, readDoseIn } from '#core/mix';
import { marked, metric, us } from '../../factories';
import { near } from '../help';

const blue = { name: 'Blue', kind: 'liquid pigment', density: 1.1, dropMl: 0.025 } as const;
const white = { name: 'White paste', kind: 'paste', density: 1.7 } as const;
const load = (text: string, colourant: Parameters<typeof readDose>[1]['colourant'] = blue, resinG = 50, write = metric): number => {
  const reading = readDose(text, { colourant, resinG }, write);
  assert.ok(reading.ok, reading.ok ? '' : reading.says);
  return reading.value;
};
const says = (text: string, colourant: Parameters<typeof readDose>[1]['colourant'] = blue, resinG = 50): string => {
  const reading = readDose(text, { colourant, resinG }, metric);
  assert.ok(!reading.ok, text);
  return reading.says;
};

test('a dose as a hand says it: drops, grams, dabs, dips, a spoon, per cent', () => {
  near(load('5 drops'), (5 * 0.025 * 1.1) / 50, 1e-9);
  near(load('1 drop'), (0.025 * 1.1) / 50, 1e-9);
  near(load('0.3 g', white), 0.006, 1e-9);
  near(load('a pea', white), (0.25 * 1.7) / 50, 1e-9);
  near(load('2 peas', white), (0.5 * 1.7) / 50, 1e-9);
  near(load('match-head', white), (0.02 * 1.7) / 50, 1e-9);
  near(load('1½ peas', white), (0.375 * 1.7) / 50, 1e-9);
  near(load('½ match-head', white), (0.01 * 1.7) / 50, 1e-9);
  near(load('3 stick dips', white), (0.15 * 1.7) / 50, 1e-9);
  near(load('1/8 tsp', white, 50, us), (0.61612 * 1.7) / 50, 1e-5);
  near(load('0.5 ml', white, 50, marked), 0.017, 1e-9);
  near(load('0.02 oz wt', white, 50, us), 0.0113398, 1e-6);
  const gold = { name: 'Gold', kind: 'mica powder', density: 2.8 } as const;
  near(load('1/2 tsp', gold, 100, us), (2.464460796 * 2.8 * 0.15) / 100, 1e-5); // a spoon of powder is mostly air
  assert.equal(load('0.5 %'), 0.005);
  assert.equal(load('0.5'), 0.005);
  assert.equal(load('6 per cent'), 0.06);
  assert.equal(load('0 %'), 0);
});

test('half a drop, drops of a paste, ounces of either kind and a cup of pigment say what would be right', () => {
  assert.match(says('0.5 drops'), /cannot be counted\. Give whole drops, or a share of the mix/);
  assert.match(says('5 drops', white), /White paste does not drip\. Give it as in “0\.3 g”/);
  assert.match(says('2 oz'), /fluid ounces or ounces by weight/);
  assert.match(says('40 g'), /is 80 % of this cup; more than 30 % is no tint/);
  assert.match(says('a handful'), /is no dose here\. Give it as in “5 drops”/);
  assert.match(says('5 drops', blue, 0), /no resin in this cup yet/);
});

test('where no cup stands beside it, a dose says in how much; a share is a share everywhere', () => {
  const at = (text: string): number => {
    const reading = readDoseIn(text, blue, metric);
    assert.ok(reading.ok, reading.ok ? '' : reading.says);
    return reading.value;
  };
  near(at('1 drop in 10 g'), (0.025 * 1.1) / 10, 1e-9);
  near(at('5 drops in 30 ml'), (5 * 0.025 * 1.1) / 33, 1e-9);
  assert.equal(at('0.5 %'), 0.005);
  const wrong = (text: string): string => {
    const reading = readDoseIn(text, blue, metric);
    return reading.ok ? '' : reading.says;
  };
  assert.match(wrong('5 drops'), /^Say in how much resin, as in “5 drops in 30 ml”, or give a share of it/);
  assert.match(wrong('5 drops in a cup of tea'), /“a cup of tea” is no amount of resin/);
  assert.match(wrong('0.5 drops in 30 ml'), /cannot be counted/);
});
