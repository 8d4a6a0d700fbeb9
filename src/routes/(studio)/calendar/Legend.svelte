<script lang="ts">
  import DayBars from '$lib/ui/DayBars.svelte';
  import type { Stretch } from '#core/schedule';

  /** What a wait is drawn as. */
  const waits: { doing: Stretch['doing']; says: string }[] = [
    { doing: 'tacky', says: 'tacky' },
    { doing: 'recoat', says: 'bonds by itself' },
    { doing: 'scuff', says: 'scuff first' },
    { doing: 'cure', says: 'on to full cure' },
  ];
</script>

<div class="grid grid-cols-2 gap-x-4 gap-y-2 p-3 text-[13px]">
  <p class="flex items-center gap-3"><span class="h-4 w-9 bg-ink"></span>a pour: your hands</p>
  <p class="flex items-center gap-3"><span class="h-4 w-9 border border-ink bg-sheet"></span>preparing, looking, finishing</p>
  {#each waits as { doing, says } (doing)}
    <p class="flex items-center gap-3">
      <svg width="36" height="16" aria-hidden="true"
        ><DayBars
          stretches={[{ doing, from: 0, until: 1, planned: false }]}
          x={(t) => 1 + 34 * t}
          start={0}
          end={1}
          y={1}
          height={14}
          named={false}
        /></svg
      >{says}
    </p>
  {/each}
  <p class="col-span-2 text-soft">
    Drag what is yours to do, or Alt and the arrow keys. Arrows go from one to the next, P holds, B bars a day. Ctrl and the wheel zooms.
  </p>
</div>
