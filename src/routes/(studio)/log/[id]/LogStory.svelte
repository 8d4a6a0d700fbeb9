<script lang="ts">
  import { storyOf } from '#core/bench';
  import type { Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime } from '$lib/ui/clock.svelte';

  /** What happened at the bench beside what was told. */
  let { session }: { session: Session } = $props();
  const story = $derived(storyOf(session, shared.write));
</script>

{#if story.length}
  <ul aria-label="What else happened" class="flex flex-col gap-1">
    {#each story as t (t.seq)}<li><span class="text-soft">{clockTime(t.at)}</span> {t.says}</li>{/each}
  </ul>
{/if}
