<script lang="ts">
  import { LUCKS, LUCKS_ALONG } from '#core/rehearse';
  import { shared } from '$lib/store/shared.svelte';
  import type { Rehearsal } from './rehearsal.svelte';
  import { further } from './words';

  /** Whether to stop here, what a pass more would do, and why. */
  let { rehearsal }: { rehearsal: Rehearsal } = $props();

  const advice = $derived(rehearsal.lucks.found?.advice);
  const { write } = $derived(shared);
  const short = $derived(rehearsal.lucks.found ? rehearsal.wave.reachSea - rehearsal.lucks.found.figures.reach.middle : 0);
  const NEAR = 3;
</script>

<div class="flex flex-col gap-1.5 px-3 py-2">
  {#if rehearsal.lucks.trying !== undefined}
    <p role="status">Trying {LUCKS} lucks of the same on {write.length(LUCKS_ALONG)} of the shore, and a pass more.</p>
    <progress class="w-full" value={rehearsal.lucks.trying} max="1" aria-label="How much of it is done"></progress>
  {:else if advice}
    <p>{further(advice, write)}</p>
    <p class="text-soft">
      {#if short > NEAR}Rested it reaches {write.length(short)} less than you want. White laid sooner goes further; so does a slower hand, a nearer
        tool, or a line that starts further out.
      {:else if short < -NEAR}Rested it reaches {write.length(-short)} further than you want: lay the line nearer to the beach, or go faster.
      {:else}Rested it reaches what you want.{/if}
    </p>
  {:else}
    <p class="text-soft">
      Push the white over the board, or make one pass. Then {LUCKS} lucks of the same say how sure it is, and what a pass more would do.
    </p>
    <button
      type="button"
      class="button self-start"
      disabled={rehearsal.busy || !rehearsal.spans.length}
      onclick={() => rehearsal.tryLucks()}>Try {LUCKS} lucks</button
    >
  {/if}
</div>
