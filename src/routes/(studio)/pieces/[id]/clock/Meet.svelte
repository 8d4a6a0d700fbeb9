<script lang="ts">
  import type { BatchClock } from '#core/plan';
  import { meetFor } from '#core/pour';
  import { clockTime } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';

  /** When A and B must meet so that the white, or the end of pouring, comes at a time of the day. */
  let { clock, now }: { clock: BatchClock; now: number } = $props();
  const HOUR = 3_600_000;
  let time = $derived(zone.civil(Math.ceil(now / HOUR) * HOUR + HOUR).slice(11, 16));
  const good = $derived(/^\d\d:\d\d$/.test(time));
  /** The next moment the clock on the wall shows that time. */
  const moment = $derived.by(() => {
    if (!good) return undefined;
    const today = zone.momentOf(`${zone.dayOf(now)}T${time}`);
    return today > now ? today : zone.momentOf(`${zone.dayOf(zone.dayStart(now, 1))}T${time}`);
  });
  const hasWhite = $derived(clock.windows.white !== undefined && clock.likely.whiteFrom !== undefined);
  const meet = $derived.by(() => {
    const figure = hasWhite ? clock.likely.whiteFrom : clock.likely.heatUntil;
    return moment !== undefined && figure ? meetFor(figure, moment) : undefined;
  });
</script>

<div class="flex flex-col gap-2 p-3">
  <label class="flex items-center gap-2 text-[13px] text-soft"
    >{hasWhite ? 'White is to be ready at' : 'Pouring is to end at'}<input
      class="input w-28!"
      type="time"
      bind:value={time}
      aria-invalid={!good}
    /></label
  >
  {#if meet}
    <p class="text-[15px]" role="status">
      A and B meet at <strong data-testid="meet">{clockTime(meet.middle)}</strong>.
      <span class="text-[13px] text-soft">
        {hasWhite
          ? `To have it ready for certain, meet by ${clockTime(meet.from)}; at ${clockTime(meet.until)} it may still be in time.`
          : `To be in time for certain, not before ${clockTime(meet.until)}.`}
      </span>
    </p>
  {:else}<p class="text-[13px] text-buoy">Give a time of the day, as 14:00.</p>{/if}
</div>
