<script lang="ts">
  import type { BatchClock } from '#core/plan';
  import { plain, thicknessWord } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';

  /** Every cup of a batch and its film: how long it can be worked, how warm it is by then, and how it flows on the way. */
  let { clock }: { clock: BatchClock } = $props();
  const rows = $derived([...clock.cups, clock.film]);
  const at = $derived([5, 15, 30].filter((min) => min < clock.windows.heatUntil));
</script>

<table class="stacked w-full text-right text-[13px] [&_td]:px-2 [&_td]:py-px [&_th]:px-2 [&_th]:py-px [&_th]:font-normal">
  <thead class="text-soft">
    <tr>
      <th scope="col" class="text-left">cup</th>
      <th scope="col">holds</th>
      {#each at as min (min)}<th scope="col" class="text-left!">at {min} min</th>{/each}
      <th scope="col">past working</th>
      <th scope="col">then at</th>
    </tr>
  </thead>
  <tbody>
    {#each rows as row, i (i)}
      <tr class="border-t border-rule">
        <th scope="row" class="text-left">
          {#if row.cup?.colour}<span
              class="mr-1 inline-block h-3 w-4 rounded-[2px] border border-line align-middle"
              style:background-color={row.cup.colour}
            ></span>{/if}{row.name}
        </th>
        <td data-head="holds">{row.cup ? shared.write.volume(row.cup.ml) : ''}</td>
        {#each at as min (min)}<td class="text-left!" data-head="at {min} min">{thicknessWord(row.thickness(min))}</td>{/each}
        <td data-head="past working">{Number.isFinite(row.workingMin) ? `${plain(row.workingMin, 0)} min` : 'never'}</td>
        <td data-head="then at">{Number.isFinite(row.workingMin) ? shared.write.temperature(row.celsius(row.workingMin), 0) : ''}</td>
      </tr>
    {/each}
  </tbody>
</table>
