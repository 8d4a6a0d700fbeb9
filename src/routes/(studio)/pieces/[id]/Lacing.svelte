<script lang="ts">
  import { laceThrough, type PiecePlan } from '#core/plan';
  import { fixed, writeShare } from '#core/units';

  /** What a coat over older lacing leaves of its white. */
  let { plan, coatId }: { plan: PiecePlan; coatId: string } = $props();
  const laces = $derived(laceThrough(plan, coatId));
</script>

{#each laces as lace (lace.wave.id)}
  <p class="order-1 col-span-full text-soft">
    The white of coat {lace.number} shows through it:
    <b class="text-ink">{writeShare(lace.before > 0 ? lace.after / lace.before : 1)}</b> of its contrast stays, {fixed(lace.after, 2)} of {fixed(
      lace.before,
      2,
    )}.
  </p>
{/each}
