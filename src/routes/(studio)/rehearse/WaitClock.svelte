<script lang="ts">
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { sliderColumns } from '$lib/ui/slider-columns';

  /** The batch beside the wait: when its white is ready, until when heat moves the film, and how old the film is by then. */
  interface Props {
    /** Minutes after mixing the slider above runs over, and the one it stands at. */
    from: number;
    until: number;
    minute: number;
    ready: { from: number; until: number };
    heatUntil: number;
    /** Age of the film at that minute, min at the resin's reference. */
    age: number;
  }
  let { from, until, minute, ready, heatUntil, age }: Props = $props();

  const x = (min: number): number => (100 * (Math.min(until, Math.max(from, min)) - from)) / (until - from);
</script>

<div class="grid {sliderColumns(shared.settings?.length)} gap-x-3 pb-1">
  <span></span>
  <svg viewBox="0 0 100 8" preserveAspectRatio="none" class="h-2 w-full overflow-visible" aria-hidden="true">
    <rect x="0" y="3" width={x(heatUntil)} height="2" class="fill-line" />
    <rect x={x(ready.from)} y="0" width={Math.max(0, x(ready.until) - x(ready.from))} height="8" class="fill-open/45" />
    <rect x={x(minute) - 0.4} y="-1" width="0.800" height="10" class="fill-buoy" />
  </svg>
  <span></span>
  <p class="col-span-3 text-[12.5px] text-soft">
    The film is {plain(age, 0)} min old by then. White is ready {plain(ready.from, 0)}–{plain(ready.until, 0)} min after mixing; heat moves it
    until
    {plain(heatUntil, 0)}.
  </p>
</div>
