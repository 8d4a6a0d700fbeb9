import type { Figure } from '#core/document';
import { sayLearned } from '#core/learn';
import { shared } from '$lib/store/shared.svelte';

/**
 * Where a figure came from, as long as it is what was taken over; else what else is said of it.
 * @param now what is planned with @param usual what stands beside it otherwise
 */
export function learnedHint(figure: Figure, now: number, usual: string): string {
  const last = (shared.learned ?? [])
    .filter((l) => l.figure === figure)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .at(-1);
  return last && Math.abs(last.value - now) <= 1e-9 * Math.max(1, Math.abs(now)) ? sayLearned(last, shared.write) : usual;
}
