<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { limits, type WaveCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { begunWith, sceneOf, SEARCH_GRIDS, TRIALS, type Look, type SeenTrial } from '#core/rehearse';
  import { fixed, length, plain, readWithin } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { searchFor } from '$lib/work/rehearse';
  import { chosenLook } from './chosen-look';
  import { picture } from './picture';

  /** A look that is wanted, and the three ways nearest to it that the batch allows. */
  interface Props {
    plan: PiecePlan;
    wave: WaveCoat;
    /** One was taken over to the board. */
    onuse: () => void;
  }
  let { plan, wave, onuse }: Props = $props();

  const same = $derived(begunWith(plan, wave));
  let look = $state.raw<Look>(untrack(() => ({ reach: wave.reachSea, white: 0.08, size: 1.2 })));
  let share = $state<number>();
  let found = $state.raw<SeenTrial[]>();
  let failed = $state(false);
  let stop: (() => void) | undefined;
  const { write } = $derived(shared);
  const unit = $derived(shared.settings?.length ?? 'mm');

  async function search() {
    found = undefined;
    failed = false;
    share = 0;
    const scenes = { tried: sceneOf(plan, wave, SEARCH_GRIDS.tried), shown: sceneOf(plan, wave, SEARCH_GRIDS.shown) };
    const task = searchFor(scenes, same, look, (s) => (share = s));
    stop = task.stop;
    try {
      found = await task.done;
    } catch {
      failed = true;
    }
    share = undefined;
    stop = undefined;
  }
  onDestroy(() => stop?.());

  const readShare = (text: string) => {
    const value = Number(text.replace('%', '').replace(',', '.'));
    return Number.isFinite(value) && value >= 1 && value <= 40
      ? ({ ok: true, value: value / 100 } as const)
      : ({ ok: false, says: 'White is 1 % for a thread of it to 40 % of the board: “8 %”.' } as const);
  };
  const percent = (v: number): string => `${fixed(100 * v, 0)} %`;
  const set = (change: Partial<Look>) => {
    look = { ...look, ...change };
    return Promise.resolve(true);
  };
  /** How near it comes, in words. */
  const nearness = (off: number): string =>
    off < 1.5 ? 'as near as luck allows' : off < 4 ? 'near it' : 'the nearest there is, but not near';
  function use(trial: SeenTrial) {
    chosenLook.put(wave.id, trial.setup, trial.hand);
    onuse();
  }
</script>

<Scrolled label="A look and the ways to it" class="flex min-h-0 grow flex-col gap-3">
  <Sheet
    title="What do I do for this look?"
    aside="within {plain(same.ready.from, 0)}–{plain(same.ready.until, 0)} min of the batch"
    class="shrink-0"
  >
    <div class="flex flex-wrap items-end gap-x-5 gap-y-2 px-3 py-2">
      <LiveField
        label="reach to sea"
        shows={write.length(look.reach)}
        value={look.reach}
        read={(text) => readWithin(length, text, { min: 5, max: limits.reach.max }, 'A reach', write.length, unit)}
        commit={(reach) => set({ reach })}
      />
      <LiveField
        label="white of the board"
        shows={percent(look.white)}
        value={look.white}
        read={readShare}
        commit={(white) => set({ white })}
      />
      <LiveField
        label="cells across"
        shows={write.fine(look.size, 1)}
        value={look.size}
        read={(text) => readWithin(length, text, { min: 0.3, max: 8 }, 'A cell', (v) => write.fine(v, 1), unit)}
        commit={(size) => set({ size })}
      />
      {#if share === undefined}
        <button type="button" class="button button-main" onclick={search}>Look for it</button>
      {:else}
        <progress class="mb-3 w-40" value={share} max="1" aria-label="How much of it is done"></progress>
        <button type="button" class="button" onclick={() => stop?.()}>Stop looking</button>
        <p class="pb-2 text-[13px] text-soft" role="status">Trying {TRIALS} ways on a stretch of its shore.</p>
      {/if}
    </div>
    {#if failed}<p class="px-3 pb-2 text-warn" role="alert">The search stopped by itself. Look for it again.</p>{/if}
  </Sheet>
  {#if found}
    <div class="grid shrink-0 gap-3 sm:grid-cols-3">
      {#each found as trial, i (trial)}
        <Sheet title={i === 0 ? 'Nearest' : i === 1 ? 'Next' : 'And this'} aside={nearness(trial.off)} class="min-w-0">
          <canvas use:picture={trial} class="work max-h-72 w-full object-cover object-bottom" aria-hidden="true"></canvas>
          <p class="px-3 pt-2">
            <b>{write.volume(trial.setup.ml)} of white at {plain(trial.setup.minute, 0)} min</b>, {trial.hand.tool}, a hand of {write.length(
              trial.hand.speed,
            )}/s, {trial.passes === 1 ? 'one pass' : `${trial.passes} passes`}.
          </p>
          <p class="px-3 text-[13px] text-soft">
            Reaches {write.length(trial.figures.toSea.middle)}, {percent(trial.figures.white)} of the board white, cells {write.fine(
              trial.figures.diameters.middle,
              1,
            )} across, {percent(trial.figures.mist)} gone to mist.
          </p>
          <div class="px-3 py-2"><button type="button" class="button" onclick={() => use(trial)}>Try it on the board</button></div>
        </Sheet>
      {/each}
    </div>
  {:else if share === undefined}
    <p class="text-soft">
      Say what it should look like. White, minute, tool, the hand’s speed and one to three passes are tried, and the three nearest are
      shown.
    </p>
  {/if}
</Scrolled>
