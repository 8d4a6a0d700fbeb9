<script lang="ts">
  import { besideDone, storyOf } from '#core/bench';
  import type { Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime, dayMonth, weekday } from '$lib/ui/clock.svelte';

  /** One pour of a piece: planned beside done, and what else happened. */
  let { session, pieceId, open = true }: { session: Session; pieceId: string; open?: boolean } = $props();
  const rows = $derived(besideDone(session, pieceId, shared.write));
  const story = $derived(storyOf(session, shared.write));
  const coats = $derived(session.told.coats.filter((c) => c.piece === pieceId).map((c) => c.name));
  const notes = $derived(session.events.flatMap((e) => (e.kind === 'note' ? [e.text] : [])));
</script>

<article class="border-b border-line px-3 py-2 last:border-0">
  <h3 class="flex flex-wrap items-baseline gap-x-3 font-serif text-[18px]">
    <a class="hover:underline" href="/log/{session.pour.id}">{coats.join(', ')}</a>
    <span class="font-sans text-[13px] text-soft"
      >{weekday(session.started).split(' ')[0]} {dayMonth(session.started)}, {clockTime(session.started)}</span
    >
    <b class="ml-auto font-sans text-[13px]"
      >{session.abandoned ? 'given up' : session.done === undefined ? 'pouring now' : (session.pour.verdict ?? 'not judged yet')}</b
    >
  </h3>
  {#if open}
    <table class="mt-1 w-full text-[14px]">
      <thead class="sr-only"><tr><th scope="col">what</th><th scope="col">planned</th><th scope="col">done</th></tr></thead>
      <tbody>
        {#each rows as row (row.what)}
          <tr class="border-t border-rule align-baseline [&>td]:py-1 [&>td]:pl-3">
            <th scope="row" class="text-left font-normal text-soft">{row.what}</th>
            <td>{row.planned}</td>
            <td
              >{#if row.done === row.planned}<span class="text-soft">as planned</span>{:else}<b>{row.done}</b>{/if}
              {#if row.means}<span class="block text-[12px] text-soft">{row.means}</span>{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if story.length || notes.length}
      <p class="mt-1 text-[13px] text-soft">{[...story.map((s) => s.says), ...notes].join(' ')}</p>
    {/if}
    {#if session.pour.note}<p class="mt-1 font-serif text-[16px] italic">{session.pour.note}</p>{/if}
  {/if}
</article>
