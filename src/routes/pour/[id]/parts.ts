/** What the bench shows beside the words of a step, fetched together once those stand. */
import { readyItems, withWindows, type Bench } from '#core/bench';
import type { ToldBatch } from '#core/document';
import { lastBead } from '#core/pour';
import type { Session } from '#core/record';
import type { Writes } from '#core/units';

export { cupsNow } from '#core/bench';
export { AtBench } from './at-bench.svelte';
export { default as Asked } from './Asked.svelte';
export { default as After } from './After.svelte';
export { default as Before } from './Before.svelte';
export { default as BoardNow } from './BoardNow.svelte';
export { default as ClockChart } from '$lib/ui/ClockChart.svelte';
export { default as HeatNow } from './HeatNow.svelte';
export { default as HeatTool } from './HeatTool.svelte';
export { default as ReplanPanel } from './ReplanPanel.svelte';

/** A told mixing with its windows as they run, where anything was measured since. */
export function asRuns({ session, clocks, airRead }: Bench, number: number, told: ToldBatch): ToldBatch {
  const [clock, mixed] = [clocks[number], session.mixedAt.get(number)];
  const beaded = mixed !== undefined && lastBead(session.events, number, mixed) !== undefined;
  return clock && (beaded || airRead) ? withWindows(told, clock) : told;
}

/** What is still to be seen to before the first mixing. */
export function openItems(session: Session, write: Writes): string[] {
  const met = new Set(session.events.flatMap((e) => (e.kind === 'ready' ? e.items : [])));
  return readyItems(session.pour, session.told, write).flatMap((i) => (met.has(i.item) ? [] : [i.item]));
}
