<script lang="ts">
  import { figureName, sayLearned, writeFigure } from '#core/learn';
  import { shared } from '$lib/store/shared.svelte';

  /** Figures of materials that were taken over from the studio's own pours, with where each came from. */
  let { of }: { of: readonly { id: string; name: string }[] } = $props();
  const rows = $derived(
    (shared.learned ?? []).flatMap((l) => {
      const thing = of.find((t) => t.id === l.of);
      return thing ? [{ l, name: thing.name }] : [];
    }),
  );
</script>

{#if rows.length}
  <ul class="border-t border-rule px-3 py-2 text-[13px] text-soft">
    {#each rows as { l, name } (l.id)}
      <li>
        <b class="text-ink">{figureName(l.figure, name)} {writeFigure(l.figure, l.value, shared.write)}.</b>
        {sayLearned(l, shared.write)}
      </li>
    {/each}
  </ul>
{/if}
