<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { rehearsalOf } from '#core/coat';
  import type { WaveCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { begunWith, LUCKS } from '#core/rehearse';
  import { fixed } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Board from './Board.svelte';
  import Came from './Came.svelte';
  import { chosenLook } from './chosen-look';
  import Chosen from './Chosen.svelte';
  import KeptNow from './KeptNow.svelte';
  import { Rehearsal } from './rehearsal.svelte';
  import Sizes from './Sizes.svelte';
  import Stop from './Stop.svelte';
  import Strip from './Strip.svelte';

  /** One wave on its board: laid, waited for, pushed and rested, as often as one likes. */
  let { plan, wave }: { plan: PiecePlan; wave: WaveCoat } = $props();

  const SMALL = 640;
  const same = untrack(() => begunWith(plan, wave));
  const rehearsal = untrack(() => new Rehearsal(plan, wave, same, innerWidth < SMALL));
  const found = untrack(() => chosenLook.take(wave.id));
  if (found) [rehearsal.setup, rehearsal.hand] = [found.setup, found.hand];
  onMount(() => {
    void rehearsal.lay();
    return () => rehearsal.end();
  });
  const kept = $derived(rehearsalOf(plan.piece, wave));
  const passes = $derived(kept ? kept.passes.length : 0);
  const slow = $derived(rehearsal.pace !== undefined && rehearsal.pace < 0.9 ? rehearsal.pace : undefined);
  const reading = $derived(rehearsal.reading);
</script>

<div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_350px]">
  <Sheet title="As it would look" class="min-h-0 max-lg:min-h-96">
    {#snippet aside()}
      <p class="truncate text-[13px] text-soft">
        {#if reading && rehearsal.doing === 'air'}{shared.write.temperature(reading.skin, 0)} skin, {reading.cells} cells
        {:else if rehearsal.drawing.tooShort}too short for a line: draw it as long as the hand goes
        {:else if rehearsal.drawing.pointer === 'air'}drag the air over it, or H to hold it on
        {:else if rehearsal.drawing.pointer === 'strokes'}draw where the air goes, then play it
        {:else}draw the line the white is laid along{/if} · grid of {shared.write.fine(rehearsal.dx, 1)}
      </p>
      <label class="flex items-center gap-1 text-[13px] text-soft"
        >pointer<select
          class="rounded-sheet border border-line bg-paper text-ink"
          bind:value={rehearsal.drawing.pointer}
          disabled={rehearsal.busy}
          ><option value="air">pushes the air</option><option value="strokes">draws strokes</option><option value="line"
            >draws the line</option
          ></select
        ></label
      >
    {/snippet}
    {#if rehearsal.died}
      <div class="p-3" role="alert">
        <p>The rehearsal stopped by itself. Nothing of the plan has changed.</p>
        <button type="button" class="button mt-2" onclick={() => rehearsal.again()}>Lay the white again</button>
      </div>
    {/if}
    <Board {rehearsal} />
    {#if slow !== undefined && !rehearsal.busy}
      <p class="flex flex-wrap items-center gap-2 border-t border-rule bg-warnground px-3 py-1 text-[13px] text-warnink" role="status">
        This device works at {fixed(slow, 1)} of real time, so the air stays too long.
        {#if rehearsal.coarser}<button type="button" class="underline" onclick={() => rehearsal.onGrid(rehearsal.coarser!)}
            >Use a grid of {shared.write.fine(rehearsal.coarser, 1)}</button
          >{/if}
      </p>
    {/if}
    <Strip {rehearsal} />
  </Sheet>
  <Scrolled label="What is laid, how it is pushed and what came of it" class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
    <Sheet title="White, wait, air" class="shrink-0">
      <Chosen {rehearsal} {same} />
    </Sheet>
    {#if wave.rehearsed}
      <Sheet
        title="Kept in the plan"
        aside={kept ? `${passes} pass${passes === 1 ? '' : 'es'}` : 'no longer of this wave'}
        class="shrink-0"
      >
        <KeptNow {rehearsal} {wave} {kept} />
      </Sheet>
    {/if}
    <Sheet title="What came of it" aside={rehearsal.lucks.found ? `${LUCKS} lucks, rested` : 'this luck, now'} class="shrink-0">
      <Came {rehearsal} />
      {#if rehearsal.figures}<Sizes sizes={rehearsal.figures.sizes} />{/if}
    </Sheet>
    <Sheet
      title={rehearsal.lucks.found ? (rehearsal.lucks.found.advice.stop ? 'You could stop here' : 'You could go on') : 'Stop or go on'}
      class="shrink-0"
    >
      <Stop {rehearsal} />
    </Sheet>
    <p class="px-1 text-[12.5px] text-soft">
      A rehearsal, not a promise. Warmth, thickness and light follow measured figures; how hard the air pushes, how white opens and how it
      turns to mist were set by eye, and are to be fitted to your own boards.
    </p>
  </Scrolled>
</div>
