<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { WaveCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { begunWith, DRILL, drillsOf, stretch, type Drill, type Scored } from '#core/rehearse';
  import { plain } from '#core/units';
  import { keepDrill, readDrills } from '$lib/store/drills';
  import { Live } from '$lib/store/live.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Board from './Board.svelte';
  import { Drilled } from './drilled.svelte';

  /** Things to practise on a stretch of the wave's own shore, each within three minutes, scored by what came of it. */
  let { plan, wave }: { plan: PiecePlan; wave: WaveCoat } = $props();

  const same = untrack(() => begunWith(plan, wave));
  const drills = untrack(() => drillsOf(same, wave.reachSea));
  const gone = new Live(readDrills);
  /** So much of the shore is practised on, mm. */
  const [ALONG, ACROSS] = [120, 110];
  const SMALL = 640;

  let drilled = $state.raw<Drilled>();
  let scored = $state.raw<Scored>();
  const { write } = $derived(shared);

  let top = $state<HTMLElement>();
  async function begin(drill: Drill) {
    // on a phone the list lies below the board
    top?.scrollIntoView({ block: 'start' });
    drilled?.end();
    scored = undefined;
    drilled = new Drilled(plan, wave, { ...same, setup: drill.setup, hand: drill.hand }, innerWidth < SMALL, (whole) =>
      stretch(whole, ALONG, ACROSS),
    );
    const mine = drilled;
    const figures = await mine.run(drill);
    if (!figures || mine !== drilled) return;
    const came = drill.scores(figures);
    scored = came;
    await attempt(() => keepDrill(drill.name, came.score));
  }
  const drill = $derived(drilled?.drill);
  onDestroy(() => drilled?.end());
</script>

<div bind:this={top} class="grid min-h-0 grow scroll-mt-28 gap-3 lg:grid-cols-[minmax(0,1fr)_350px]">
  <Sheet title={drill?.title ?? 'Drills'} class="min-h-0 max-lg:min-h-96">
    {#snippet aside()}
      {#if drilled && drilled.stage === 'pushing'}
        <p class="text-[13px] text-soft tabular-nums" role="timer">
          {plain(Math.max(0, DRILL.air - drilled.held), 0)} s of air left, {plain(drilled.left, 0)} s in all
        </p>
      {/if}
    {/snippet}
    {#if drilled && drill}
      <p class="border-b border-rule px-3 py-2 text-[16px]">{drill.asks(write)}</p>
      <Board rehearsal={drilled.rehearsal} />
      <div class="flex flex-wrap items-center gap-3 border-t border-rule px-3 py-2">
        {#if drilled.stage === 'pushing'}
          <button type="button" class="button button-main" disabled={drilled.rehearsal.busy} onclick={() => drilled?.stop()}
            >I stop here</button
          >
          <p class="text-[13px] text-soft">Drag the air over it, or move it with the arrow keys and hold it on with H.</p>
        {:else if drilled.stage === 'resting'}
          <p role="status">It rests, and opens.</p>
          <progress class="w-40" value={drilled.rehearsal.share} max="1" aria-label="How much of it is done"></progress>
        {:else if drilled.rehearsal.died}
          <p role="alert">The board stopped by itself. Begin the drill again.</p>
        {:else if scored}
          <p class="text-[28px] leading-none font-bold" data-testid="score">{scored.score}</p>
          <p class="min-w-0 grow" role="status">{scored.says(write)} <b>{scored.next}</b></p>
        {/if}
        {#if drilled.stage !== 'pushing'}
          <button type="button" class="button" disabled={drilled.rehearsal.busy} onclick={() => begin(drill)}>Again</button>
        {/if}
      </div>
    {:else}
      <p class="p-4 text-soft">
        Choose something to practise. You have {DRILL.air} s of air; then it rests by itself, and is scored from 0 to 100 by what came of it.
      </p>
    {/if}
  </Sheet>
  <Scrolled label="The drills" class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
    <Sheet title="Practise" aside="on {write.length(ALONG)} of this shore" class="shrink-0">
      <ul>
        {#each drills as d (d.name)}
          {@const own = gone.current?.[d.name]}
          <li class="border-b border-rule px-3 py-2 last:border-0">
            <div class="flex items-baseline gap-2">
              <h3 class="grow text-[16px] font-bold">{d.title}</h3>
              <button type="button" class="button" aria-label="Begin: {d.title}" disabled={drilled?.rehearsal.busy} onclick={() => begin(d)}
                >Begin</button
              >
            </div>
            <p class="text-[13px] text-soft">{d.asks(write)}</p>
            <p class="text-[13px]">
              {own ? `best ${own.best}, last ${own.last}, done ${own.times === 1 ? 'once' : `${own.times} times`}` : 'not done yet'}
            </p>
          </li>
        {/each}
      </ul>
    </Sheet>
    <p class="px-1 text-[12.5px] text-soft">A rehearsal, not a promise: scores are of the model, and best and last stay on this device.</p>
  </Scrolled>
</div>
