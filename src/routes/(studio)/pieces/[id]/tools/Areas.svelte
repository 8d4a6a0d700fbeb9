<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { weightOf, type PiecePlan } from '#core/plan';
  import { plain } from '#core/units';

  /** What the drawing measures: the share and area of each part, the shore, the rim, and what the finished piece weighs. */
  let { plan, names }: { plan: PiecePlan; names: string[] } = $props();

  const shares = $derived([
    { name: 'Beach', area: plan.cut.beach.area },
    ...plan.cut.sea.map((region, i) => ({ name: names[i]!, area: region.area })),
    ...plan.cut.areas.map((region, i) => ({ name: plan.piece.sea.areas![i]!.name, area: region.area })),
    ...(plan.cut.bare.area > 0 ? [{ name: 'Bare', area: plan.cut.bare.area }] : []),
  ]);
  const weight = $derived(weightOf(plan));
</script>

<dl class="-mx-3 flex flex-wrap">
  {#each shares as share, i (i)}
    <div class="grow border-l border-rule px-1.5 first:border-l-0">
      <dt class="whitespace-nowrap">{share.name}</dt>
      <dd class="text-[15px]">{plain((100 * share.area) / plan.area, 0)} %</dd>
      <dd class="whitespace-nowrap text-soft">{shared.write.area(share.area)}</dd>
    </div>
  {/each}
  <div class="grow border-l border-rule px-1.5">
    <dt class="whitespace-nowrap">Shoreline</dt>
    <dd class="text-[15px] whitespace-nowrap">{shared.write.run(plan.cut.shoreLength)}</dd>
    <dd class="whitespace-nowrap text-soft">rim {shared.write.run(plan.rim)}</dd>
  </div>
  <div class="grow border-l border-rule px-1.5">
    <dt class="whitespace-nowrap">Finished</dt>
    <dd class="text-[15px] whitespace-nowrap">{shared.write.heavy(weight.total * 1000)}</dd>
    <dd class="whitespace-nowrap text-soft">resin {shared.write.heavy(weight.resin * 1000)}</dd>
  </div>
</dl>
