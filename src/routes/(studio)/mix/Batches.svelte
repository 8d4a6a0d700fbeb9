<script lang="ts">
  import { onMount } from 'svelte';
  import { writeStrain } from '#core/advice';
  import { handsOn, workable, type Together } from '#core/plan';
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Findings from '$lib/ui/Findings.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** One line a mixing, in the order they are mixed: its amount, its two parts, and its work against the time it can be worked. */
  let { together, picked, onpick }: { together: Together; picked: number; onpick: (index: number) => void } = $props();

  const unit = $derived(shared.settings!.volume);
  /** What is to be minded follows when the figures stand. */
  let advice = $state.raw<typeof import('#core/advice')>();
  onMount(async () => (advice = await import('#core/advice')));
  const because = $derived(together.batches.find((b) => b.because)?.because);
  const rows = $derived(
    together.batches.map((batch, i) => ({
      batch,
      at: together.steps.find((s) => s.id.does === 'mix' && s.batch === i)?.at ?? 0,
      hands: handsOn(together.steps, i),
      working: workable(batch, shared.means!),
    })),
  );
</script>

<Sheet title="Batches" aside="in the order they are mixed" class="max-h-[44%] shrink-0">
  <Scrolled label="Batches" class="min-h-0 grow">
    <table class="stacked w-full">
      <thead>
        <tr class="text-right text-[13px] text-soft [&>th]:px-2 [&>th]:py-1 [&>th]:font-normal">
          <th class="text-left" scope="col">batch</th>
          <th scope="col">{unit}</th>
          {#if shared.write.byScale}
            <th scope="col">A {shared.write.units.weight}</th>
            <th scope="col">B {shared.write.units.weight}</th>
          {/if}
          <th scope="col">A {unit}</th>
          <th scope="col">B {unit}</th>
          <th scope="col">mixed at</th>
          <th scope="col">hands-on, of its working time</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as { batch, at, hands, working }, i (i)}
          <tr class="border-t border-rule text-right {i === picked ? 'bg-paper' : ''} [&>td]:px-2 [&>td]:py-1">
            <th scope="row" class="px-2 py-1 text-left font-normal">
              <button
                type="button"
                class="text-left {i === picked ? 'font-bold underline decoration-buoy decoration-2' : ''}"
                aria-pressed={i === picked}
                onclick={() => onpick(i)}
                >{i + 1}
                {batch.resin.name}, {plain(batch.resin.ratio.a, 2)} : {plain(batch.resin.ratio.b, 2)}</button
              >
            </th>
            <td data-head={unit} class="font-bold">{shared.write.volumeFigure(batch.ml)}</td>
            {#if shared.write.byScale}
              <td data-head="A {shared.write.units.weight}">{shared.write.weightFigure(batch.parts.aG)}</td>
              <td data-head="B {shared.write.units.weight}">{shared.write.weightFigure(batch.parts.bG)}</td>
            {/if}
            <td data-head="A {unit}">{shared.write.volumeFigure(batch.parts.aMl)}</td>
            <td data-head="B {unit}">{shared.write.volumeFigure(batch.parts.bMl)}</td>
            <td data-head="mixed at">{plain(at, 0)} min</td>
            <td data-head="hands-on, of its working time" class="wide whitespace-nowrap {hands > working ? 'font-bold text-buoy' : ''}"
              >{plain(hands, 0)} of {plain(working, 0)} min</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if advice && shared.means}<Findings findings={advice.sessionAdvice(together, shared.means, shared.write)} />{/if}
    {#if because}<p class="border-t border-rule px-3 py-1.5 text-[13px]"><b>Split.</b> {writeStrain(because, shared.write)}</p>{/if}
  </Scrolled>
</Sheet>
