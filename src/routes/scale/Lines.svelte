<script lang="ts">
  import type { WeighLine, Weighing } from '#core/pour';
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';

  /** All lines of the batch: what each needs and what is in. A press takes one out of turn. */
  let {
    weighing,
    line,
    kept,
    onpick,
  }: { weighing: Weighing; line: WeighLine | undefined; kept: ReadonlySet<string>; onpick: (key: string) => void } = $props();

  const digits = $derived(Math.max(0, Math.ceil(-Math.log10(shared.settings!.scaleStep))));
  const amount = (l: WeighLine, g: number): string =>
    (l.drops ? `${plain(g / l.drops.each, 0)} drops` : shared.write.weight(g * ((l.letDown ?? 0) + 1), digits)) +
    (l.letDown ? `, thinned 1 : ${l.letDown}` : '');
  const state = (l: WeighLine): string =>
    kept.has(l.key) ? 'left as it is' : l.left > 0 ? (l.inside ? `${amount(l, l.left)} to come` : '') : l.over > 0 ? 'over' : 'in';
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="min-h-0 overflow-y-auto border-nightline max-lg:border-t lg:border-l" role="group" tabindex="0" aria-label="All of the batch">
  <table class="w-full text-[16px]">
    <thead class="text-[14px] text-nightsoft">
      <tr class="text-right [&>th]:px-3 [&>th]:py-2 [&>th]:font-normal"
        ><th class="text-left" scope="col">into</th><th scope="col">needs</th><th scope="col">in it</th><th scope="col"></th></tr
      >
    </thead>
    <tbody>
      {#each weighing.lines as l (l.key)}
        <tr class="border-t border-nightline text-right {l === line ? 'bg-[#1d262b]' : ''} [&>td]:px-3">
          <th scope="row" class="text-left font-normal">
            <button
              type="button"
              class="flex min-h-16 w-full items-center gap-2 px-3 text-left {l === line ? 'font-bold' : ''} {l.kind === 'colourant' ||
              l.kind === 'sand'
                ? 'pl-8 text-nightsoft'
                : ''}"
              disabled={l.left <= 0}
              onclick={() => onpick(l.key)}
            >
              {#if l.kind === 'fill' && l.cup}<span
                  class="h-5 w-6 shrink-0 rounded-b-[5px] border border-nightline"
                  style:background-color={l.cup.colour ?? '#2b353b'}
                ></span>{/if}{l.name}</button
            >
          </th>
          <td class="whitespace-nowrap">{amount(l, l.target)}</td>
          <td class="whitespace-nowrap">{l.inside === undefined ? '–' : amount(l, l.inside)}</td>
          <td class="text-left text-[14px] {l.over > 0 ? 'text-[#f0c36a]' : 'text-nightsoft'}">{state(l)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
