<script lang="ts">
  import { findable, found, type Sought } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime, weekday, dayMonth } from '$lib/ui/clock.svelte';
  import Find from './Find.svelte';
  import LogHead from './LogHead.svelte';

  let sought = $state.raw<Sought>({});
  const asks = $derived(Object.keys(sought).length > 0);
  /** The words of every pour, gathered when something is looked for and kept for as long as no pour changes. */
  const index = $derived(asks ? shared.pours?.map(findable) : undefined);
  const hits = $derived(index && new Set(found(index, sought).map((f) => f.id)));
  const lines = $derived(
    shared.summaries &&
      (!asks || hits) &&
      [...shared.summaries].filter((s) => !hits || hits.has(s.id)).sort((a, b) => b.started - a.started),
  );
</script>

<svelte:head><title>Log · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4">
  <LogHead />
  {#if shared.summaries?.length}<Find bind:sought />{/if}
  {#if lines?.length}
    <ul class="sheet divide-y divide-rule">
      {#each lines as { id, pieces, started, coats, done, abandoned, verdict, note } (id)}
        <li>
          <a
            href={done === undefined && !abandoned ? `/pour/${id}` : `/log/${id}`}
            class="grid gap-x-5 px-4 py-2.5 hover:bg-paper sm:grid-cols-[150px_minmax(0,1fr)_minmax(0,1.4fr)]"
          >
            <span class="text-soft">{weekday(started).split(' ')[0]} {dayMonth(started)}, {clockTime(started)}</span>
            <span
              ><span class="font-serif text-[18px]">{pieces.join(', ')}</span><span class="block text-[13px] text-soft"
                >{coats.join(', ').toLowerCase()}</span
              ></span
            >
            <span
              >{#if abandoned}<b>abandoned</b> <i class="block font-serif text-[16px]">{abandoned.why}</i>{:else if done === undefined}<b
                  class="text-buoy">Pouring now</b
                >{:else}<b>{verdict ?? 'not judged yet'}</b>{/if}{#if note}<i class="block font-serif text-[16px]">{note}</i>{/if}</span
            >
          </a>
        </li>
      {/each}
    </ul>
  {:else if lines && asks}
    <p class="sheet p-6 text-soft">No pour has all of that. Try fewer words, or fewer questions.</p>
  {:else if lines}
    <div class="sheet p-8">
      <h2 class="text-[22px]">Nothing poured yet</h2>
      <p class="mt-2 max-w-prose text-soft">
        A pour writes its own line here, minute by minute, beside what was planned. Open a piece and start its pour.
      </p>
      <a class="button mt-4" href="/pieces">To the pieces</a>
    </div>
  {:else}
    <p class="text-soft" aria-busy="true">Reading the log.</p>
  {/if}
</main>
