<script lang="ts">
  import { isLine } from '#core/document';
  import { groundsUnder } from '#core/plan';
  import { groundOf } from '#core/tint';
  import { plain } from '#core/units';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import type { SlopeDraft, SlopeUse, Worked } from './slope.svelte';
  import CupDetail from './CupDetail.svelte';
  import CupRow from './CupRow.svelte';
  import Films from './Films.svelte';
  import Steps from './Steps.svelte';
  import { stopWords } from './words';

  /** A slope as it is seen: in its cups, in its films, and as a stair of lightness. */
  interface Props {
    work: Worked;
    uses: SlopeUse[];
    /** To edit it with; a slope beside another is only looked at. */
    draft?: SlopeDraft;
  }
  let { work, uses, draft }: Props = $props();

  let chosen = $state('');
  const cups = $derived(work.slope.palestFirst ? [...work.cups].reverse() : work.cups);
  const picked = $derived(cups.find((c) => c.cup.id === chosen) ?? cups[0]!);
  const astray = $derived(work.cups.filter((c) => c.stops));

  /** What lies under the first coat it is used on, cup by cup, where that is more than its bare ground. */
  const below = $derived.by(() => {
    const use = uses.find((u) => u.coat.tints.length === cups.length);
    if (!use || !shared.means) return undefined;
    const at = use.piece.coats.findIndex((c) => c.id === use.coat.id);
    if (
      !use.piece.coats.slice(0, at).some((c) => c.kind !== 'sand' && !isLine(c)) &&
      groundOf(use.piece.surface).internal.every((v, i) => Math.abs(v - work.means.ground[i]!) < 1e-6)
    )
      return undefined;
    const grounds = groundsUnder(planner.plan(use.piece, shared.means).site, use.coat.id, work.means.colourants);
    // parts run from the shore seaward, cups as they are laid from the far side
    return { name: `${use.piece.name}, under coat ${at + 1}`, grounds: cups.map((_, i) => grounds[cups.length - i]) };
  });
  const nearest = () => {
    const [deep, shore] = [work.cups[0]!.lightness, work.cups.at(-1)!.lightness];
    const floor = (v: number) => Math.floor(v * 1000) / 1000;
    void draft?.commit('Take the nearest ends', (s) => ({
      ...s,
      deepest: Math.ceil(deep * 1000) / 1000,
      palest: Math.max(floor(shore), deep + 0.02),
    }));
  };
</script>

<div class="flex min-h-0 grow flex-col gap-1.5 overflow-y-auto px-3 py-1.5">
  <CupRow {work} {cups} picked={draft ? picked.cup.id : ''} onpick={(id) => (chosen = id)} />
  {#if draft}<CupDetail {draft} {work} cup={picked} onpick={(id) => (chosen = id)} />{/if}
  {#if astray.length}
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1 bg-warnground px-3 py-1.5 text-[13px] text-warnink" role="status">
      <p class="min-w-0 flex-1 basis-80">
        {#each astray as c (c.cup.id)}<span class="mr-1"
            ><b>{c.cup.name}</b> was to be {plain(c.wanted, 3)} and comes to {plain(c.lightness, 3)}: {stopWords[c.stops!]}.</span
          >{/each}What is shown is the nearest.
      </p>
      {#if draft}<button type="button" class="chip bg-paper" onclick={nearest}>Take the nearest ends</button>{/if}
    </div>
  {/if}
  <Films {work} {cups} {draft} {below} picked={draft ? picked.cup.id : ''} />
  <Steps {cups} />
</div>
