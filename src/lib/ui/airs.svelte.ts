import { Airs } from '#core/cure';
import { shared } from '$lib/store/shared.svelte';
import { zone } from '$lib/zone';

/** The air of every room, as it was read and as it usually is; made anew when something was read. */
class RoomAirs {
  readonly current = $derived(shared.air && new Airs(zone, shared.air));
}

export const airs = new RoomAirs();
