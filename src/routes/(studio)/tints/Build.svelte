<script lang="ts">
  import { fromDeepest, fromPalest, hexOf, recipeSeen, whitesOf, withWhite, type Built, type BuildStep } from '#core/tint';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { writeDose } from '#core/pour';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { SlopeUse, Worked } from './slope.svelte';
  import { stopWords } from './words';

  /** The slope out of one cup: upward from the palest by drops, or downward from the deepest with clear or with white. */
  let { work, uses }: { work: Worked; uses: SlopeUse[] } = $props();

  const ways = [
    { value: 'up', label: 'by drops' },
    { value: 'clear', label: 'with clear' },
    { value: 'white', label: 'with white' },
  ] as const;
  let way = $state<(typeof ways)[number]['value']>('up');

  const white = $derived(whitesOf(work.means.colourants)[0]);
  const settings = $derived(shared.settings!);
  /** Whose amounts are built: the slope's own, or those of a piece it is used on. */
  let amountsOf = $state('');
  const fitting = $derived(uses.filter((u) => u.coat.tints.length === work.slope.cups.length));
  const amounts = $derived.by((): number[] => {
    const own = work.solved.cups.map((c) => c.cup.ml);
    const use = fitting.find((u) => u.piece.id === amountsOf);
    if (!use || !shared.means) return own;
    const planned = planner.plan(use.piece, shared.means).coats.find((c) => c.coat.id === use.coat.id);
    // tints are numbered as they are laid, cups of a slope from the deep
    const at = (i: number): number => (work.slope.palestFirst ? own.length - 1 - i : i);
    return own.map((ml, i) => planned?.cups.find((c) => c.id.tint === at(i))?.ml ?? ml);
  });
  const wanted = $derived(work.solved.cups.map((c, i) => ({ name: c.cup.name, ml: amounts[i]!, recipe: c.recipe })));
  const bottle = $derived({
    resin: work.means.resin,
    colourants: work.means.colourants,
    scaleStep: settings.scaleStep,
    whole: shared.method?.fewDrops === 'whole drops',
  });
  const built = $derived.by((): Built => {
    if (way === 'up') return fromPalest(wanted, bottle);
    if (way === 'clear') return fromDeepest(wanted, bottle);
    if (!white) return { ok: false, says: 'There is no white on the shelf to lighten with.' };
    const aims = { wanted: work.solved.cups.map((c) => c.wanted), film: work.slope.film, ground: work.means.ground, whiteId: white.id };
    return withWhite(wanted, aims, bottle);
  });
  const volume = (ml: number): string => shared.write.volume(ml);
  const cupOf = (step: BuildStep) => work.solved.cups[step.cup]!;
  const seen = (step: BuildStep) => recipeSeen(step.recipe, work.means.colourants, work.slope.film, work.means.ground);
</script>

<Sheet title="From one cup" class="min-h-44 grow">
  {#snippet aside()}
    {#if fitting.length}
      <select class="input ml-auto w-24! min-h-7! shrink-0 px-1! text-[13px]" aria-label="Amounts of" bind:value={amountsOf}
        ><option value="">own amounts</option>{#each fitting as u, i (i)}<option value={u.piece.id}>{u.piece.name}</option>{/each}</select
      >
    {/if}
    <select class="input w-22! min-h-7! shrink-0 px-1! text-[13px]" aria-label="Which way" bind:value={way}
      >{#each ways as w (w.value)}<option value={w.value}>{w.label}</option>{/each}</select
    >
  {/snippet}
  <Scrolled label="Steps" class="min-h-0 grow">
    {#if built.ok}
      <ol class="text-[13px]">
        {#each built.steps as step, i (i)}
          {@const last = i === built.steps.length - 1}
          <li class="flex gap-2 border-b border-rule px-3 py-1">
            <span class="mt-0.5 h-4 w-5 shrink-0 rounded-[2px] border border-line" style:background-color={hexOf(seen(step))}></span>
            <span
              >{i + 1}
              {#if step.clearMl > 0.05}Add <b>{volume(step.clearMl)}</b> of clear.{/if}
              {#if i === 0}Tint all <b>{volume(built.startMl)}</b>:{:else if step.add.length}Add{:else if step.clearMl <= 0.05}Nothing to
                add.{/if}
              {#each step.add as d, k (k)}{k ? ' + ' : ''}<b>{writeDose(d, shared.write)}</b>{/each}{step.add.length ? '.' : ''}
              {#if last}What is left is <b>{cupOf(step).cup.name}</b>.{:else}Pour off <b>{volume(step.pourOff)}</b>: {cupOf(step).cup
                  .name}.{/if}
              {#if step.stops}<span class="text-soft">{stopWords[step.stops]}.</span>{/if}</span
            >
          </li>
        {/each}
      </ol>
      <p class="px-3 py-1 text-[12.5px] text-soft">
        {way === 'white'
          ? `Lightened with ${white?.name}: paler and more opaque than thinned.`
          : 'What whole drops round off is made good in the next cup.'} Stir each time until no streak is left.
      </p>
    {:else}
      <p class="px-3 py-2 text-[13px] text-warn">{built.says}</p>
    {/if}
  </Scrolled>
</Sheet>
