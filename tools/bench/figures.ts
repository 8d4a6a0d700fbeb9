import { readFileSync } from 'node:fs';
import { steady, Zone } from '#core/air';
import { openStudio, type Studio } from '#core/document';
import { Planner } from '#core/plan';

/** What all benches share: where things stand, the sample studio, and how figures are taken and printed. */
export const root = new URL('../..', import.meta.url).pathname;
export const planner = new Planner();
export const utc = new Zone('UTC');

const opened = openStudio(readFileSync(`${root}src/demo/studio.json`, 'utf8'));
if (!opened.ok) throw new Error('the sample studio does not open');
export const studio: Studio = opened.studio;
export const means = { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21.4) };

export const print = (line: Record<string, unknown>): void => console.log(JSON.stringify(line));
export const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
/** Two places after the point. */
export const ms = (value: number): number => Number(value.toFixed(2));
