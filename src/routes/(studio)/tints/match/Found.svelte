<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import type { Colourant } from '#core/document';
  import { hexOf, MATCHES, type Match, type Rgb } from '#core/tint';
  import { plain, writeShare } from '#core/units';
  import { writeDose } from '#core/pour';

  /** One pick, and the nearest tints that can be made of it, each with how far it is off. */
  interface Props {
    number: number;
    seen?: Rgb | undefined;
    matches?: Match[] | undefined;
    done?: number | undefined;
    colourants: Colourant[];
    oncancel: () => void;
    onsearch: () => void;
    onremove: () => void;
  }
  let { number, seen, matches, done, colourants, oncancel, onsearch, onremove }: Props = $props();

  const nameOf = (id: string): string => colourants.find((c) => c.id === id)?.name ?? id;
  const load = (m: Match): number => m.recipe.reduce((sum, p) => sum + p.load, 0);
</script>

<section class="border-b border-rule px-3 py-2 text-[13px]" aria-label="Pick {number}">
  <header class="flex items-center gap-2">
    <b>{number}</b>
    <span class="h-6 w-10 border border-line" style:background-color={seen && hexOf(seen)}></span>
    <span class="text-soft">{seen ? hexOf(seen) : 'reading it'}</span>
    <span class="ml-auto flex items-center gap-2">
      {#if done !== undefined}
        <span
          class="h-1.5 w-20 bg-line"
          role="progressbar"
          aria-label="Search for pick {number}"
          aria-valuenow={Math.round(done * 100)}
          aria-valuemin="0"
          aria-valuemax="100"><span class="block h-full bg-ink" style:width="{done * 100}%"></span></span
        >
        <button type="button" class="chip" onclick={oncancel}>Cancel</button>
      {:else if !matches}<button type="button" class="chip" onclick={onsearch}>Search</button>{/if}
      <button type="button" class="chip" aria-label="Take pick {number} off" onclick={onremove}>Take off</button>
    </span>
  </header>
  {#each matches ?? [] as m, i (i)}
    {@const near = m.deltaE <= MATCHES}
    <div class="mt-1 flex gap-2">
      <span class="h-9 w-10 shrink-0 border border-line" style:background-color={hexOf(m.seen)}></span>
      <span
        ><b class={near ? 'text-open' : 'text-warn'}>{near ? 'match' : 'nearest, no match'}, ΔE {plain(m.deltaE, 1)}</b>
        <span class="text-soft">· {writeShare(load(m))}</span><br />{#each m.doses as d, k (d.colourantId)}{k ? ' + ' : ''}{writeDose(
            d,
            shared.write,
          )}
          {nameOf(d.colourantId)}{:else}clear resin{/each}</span
      >
    </div>
  {:else}{#if matches}<p class="text-warn">None of these colourants makes anything within the limits.</p>{/if}{/each}
</section>
