<script lang="ts">
  import { laceThrough, type PiecePlan } from '#core/plan';
  import { fixed, writeShare } from '#core/units';

  /** What a coat over older lacing leaves of its white. */
  let { plan, coatId }: { plan: PiecePlan; coatId: string } = $props();
  const laces = $derived(laceThrough(plan, coatId));
</script>

{#each laces as lace (lace.wave.id)}
  <p class="text-[13px] text-soft">
    White of coat {lace.number} shows through: contrast <b class="text-ink">{fixed(lace.after, 2)}</b>, {fixed(lace.before, 2)} before this coat;
    {writeShare(lace.before > 0 ? lace.after / lace.before : 1)} of it stays.
  </p>
{/each}
