<script lang="ts">
  import type { Photo } from '#core/document';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Picture from '../../Picture.svelte';

  /** Two photographs one over the other, and a slider between them. */
  let { before, after }: { before: Photo; after: Photo } = $props();
  let share = $state(50);
  const says = ({ stage, takenAt }: Photo): string => `${stage ?? 'photo'}, ${dayMonth(Date.parse(takenAt))}`;
</script>

<figure class="flex flex-col gap-1">
  <div class="relative aspect-[4/3] overflow-hidden rounded-sheet border border-line">
    <Picture photoId={before.id} size="kept" alt={says(before)} class="absolute inset-0" />
    <div class="absolute inset-0" style:clip-path="inset(0 0 0 {share}%)">
      <Picture photoId={after.id} size="kept" alt={says(after)} class="absolute inset-0" />
    </div>
    <div class="pointer-events-none absolute inset-y-0 w-0.5 bg-buoy" style:left="{share}%"></div>
    <input
      type="range"
      min="0"
      max="100"
      bind:value={share}
      aria-label="Between {says(before)} and {says(after)}"
      class="absolute inset-0 h-full w-full cursor-ew-resize opacity-0 focus-visible:opacity-40"
    />
  </div>
  <figcaption class="flex justify-between text-[13px] text-soft"><span>{says(before)}</span><span>{says(after)}</span></figcaption>
</figure>
