import { readsIn } from '#core/units';
import { shared } from './shared.svelte';

/** How what is typed is read, in the studio's units. It stands apart so that a screen is drawn before it can be typed into. */
class Reading {
  readonly current = $derived(readsIn(shared.write.units));
}

export const reads = new Reading();
