<script lang="ts">
  import { mixedDensity } from '#core/mix';
  import { groundNamed, hexOf, lightness, recipeSeen } from '#core/tint';
  import { fixed, writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { writeDose } from '#core/pour';
  import type { Worked } from '../slope.svelte';

  /** Swatches as they come over white primer and bare wood, with drops, loads and lightness of each cup. */
  let { work }: { work: Worked } = $props();

  const cups = $derived(work.slope.palestFirst ? [...work.cups].reverse() : work.cups);
  const over = (recipe: (typeof cups)[0]['recipe'], ground: 'white primer' | 'bare wood'): string =>
    hexOf(recipeSeen(recipe, work.means.colourants, work.slope.film, groundNamed(ground).internal));
</script>

<h2 class="text-[30px] leading-tight">{work.slope.name}</h2>
<p class="text-[15px]">
  {work.means.resin.name} · in a film of {shared.write.film(work.slope.film)} over {work.slope.ground}
</p>
<table class="mt-4 w-full text-[16px]">
  <thead class="text-[13px]">
    <tr class="border-b-2 border-ink text-left [&>th]:px-1.5 [&>th]:font-normal"
      ><th scope="col">over white primer</th><th scope="col">over wood</th><th scope="col">cup</th><th scope="col">put in</th><th
        scope="col">colourant</th
      ><th scope="col">lightness</th></tr
    >
  </thead>
  <tbody>
    {#each cups as cup (cup.cup.id)}
      <tr class="border-b border-rule align-middle [&>td]:px-1.5 [&>td]:py-1.5">
        <td class="w-42"
          ><span class="block h-18 border border-line" style:background-color={over(cup.made.recipe, 'white primer')}></span></td
        >
        <td class="w-22"><span class="block h-18 border border-line" style:background-color={over(cup.made.recipe, 'bare wood')}></span></td
        >
        <th scope="row" class="px-1.5 text-left"
          ><span class="block text-[19px] font-bold">{cup.cup.name}</span><span class="font-normal whitespace-nowrap"
            >{shared.write.volume(cup.cup.ml)}{shared.write.byScale
              ? `, ${shared.write.weight(cup.cup.ml * mixedDensity(work.means.resin))}`
              : ''}</span
          ></th
        >
        <td
          >{#each cup.made.doses as d, i (i)}<span class="block">{writeDose(d, shared.write)}</span>{:else}clear{/each}</td
        >
        <td class="whitespace-nowrap">{writeShare(cup.made.recipe.reduce((sum, p) => sum + p.load, 0))}</td>
        <td>{fixed(lightness(cup.madeSeen), 2)}</td>
      </tr>
    {/each}
  </tbody>
</table>
<p class="mt-4 border-t border-line pt-2 text-[14px]">
  Colours are computed; a printer and a screen each show them in their own way. Smear the first cup on the board’s own ground before the
  rest is tinted. Colourant limit of {work.means.resin.name}: {writeShare(work.means.resin.loadLimit)}.
</p>
