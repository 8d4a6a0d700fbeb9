<script lang="ts">
  import type { Replan, Way } from '#core/bench';
  import { clockTime } from '$lib/ui/clock.svelte';

  /** The rest planned anew beside what was told: what happened, what each way changes and costs, by when; taken or refused with one key. */
  interface Props {
    replan: Replan;
    /** Which of its ways is looked at. */
    chosen: number;
    busy: boolean;
    ontake: (way: Way) => void;
    onkeep: () => void;
  }
  let { replan, chosen = $bindable(), busy, ontake, onkeep }: Props = $props();
  const way = $derived(replan.ways[chosen] ?? replan.ways[0]);
  /** What a hand can read at once. */
  const MOST = 3;
</script>

<section class="flex min-h-0 grow flex-col gap-3 border-2 border-[#d9a441] p-4" aria-label="Planned again">
  <div class="flex min-h-0 grow flex-col gap-2 lg:overflow-y-auto">
    <p class="font-serif text-[28px] leading-[1.12]" role="status">{replan.says}</p>
    <p class="text-[18px] text-nightsoft">{replan.why}</p>
    <div class="grid gap-x-8 gap-y-3 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div>
        <p class="text-[24px] leading-tight"><b>{way.does}</b></p>
        <p class="mt-1 text-[18px]">{way.why}</p>
        <p class="mt-1 text-[17px] text-nightsoft">
          {way.costs.length ? `It costs: ${way.costs.join('; ')}.` : 'It costs nothing.'}{way.by === undefined
            ? ''
            : ` Decide by ${clockTime(way.by)}.`}
        </p>
      </div>
      {#if way.changes.length}
        <table class="h-fit w-full text-[17px]">
          <thead
            ><tr class="text-left text-[15px] text-nightsoft [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal"
              ><th scope="col"><span class="sr-only">What</span></th><th scope="col">told</th><th scope="col">then</th></tr
            ></thead
          >
          <tbody>
            {#each way.changes.slice(0, MOST) as c (c.what)}<tr class="border-t border-nightline [&>*]:py-1 [&>*]:pr-3"
                ><th scope="row" class="text-left font-normal">{c.what}</th><td class="text-nightsoft">{c.was}</td><td><b>{c.now}</b></td
                ></tr
              >{/each}
          </tbody>
        </table>
      {/if}
    </div>
  </div>
  {#if replan.ways.length > 1}
    <ul class="grid shrink-0 gap-2 lg:grid-cols-2" aria-label="Ways to go on">
      {#each replan.ways as w, i (i)}
        <li>
          <button
            type="button"
            class="flex min-h-16 w-full items-center rounded-[5px] border-2 px-3 text-left text-[16px] leading-tight {i === chosen
              ? 'border-nighttext'
              : 'border-nightline text-nightsoft'}"
            aria-pressed={i === chosen}
            onclick={() => (chosen = i)}><kbd class="mr-3 text-nightsoft">{i + 1}</kbd>{w.does}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <div class="flex shrink-0 flex-wrap gap-3">
    <button type="button" class="button-bench button-bench-main" disabled={busy} onclick={() => ontake(way)}>Do that <kbd>Y</kbd></button>
    <button type="button" class="button-bench" disabled={busy} onclick={onkeep}>Keep the plan <kbd>O</kbd></button>
  </div>
</section>
