<script lang="ts">
  import { sayDue, sayPieces, sayPromise, saySession, sayWhen, type Calendar, type Closing, type Session } from '#core/calendar';
  import { shared } from '$lib/store/shared.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';

  /** Windows that close, what comes next, and what was promised. */
  interface Props {
    next: Session[];
    closing: Closing[];
    calendar: Calendar;
    now: number;
  }
  let { next, closing, calendar, now }: Props = $props();
  const name = (ids: readonly string[]): string => sayPieces(ids, shared.pieces ?? []);
  const promised = $derived(
    calendar.lanes.flatMap((l) => (l.promise ? [{ ...l.promise, name: l.name }] : [])).sort((a, b) => a.due - b.due),
  );
</script>

{#snippet row(when: string, what: string, href: string, tone = '')}
  <li class="border-b border-rule">
    <a class="grid grid-cols-[100px_minmax(0,1fr)] gap-x-2 px-3 py-1.5 hover:bg-paper" {href}
      ><span class="text-soft">{when}</span><span class={tone}>{what}</span></a
    >
  </li>
{/snippet}

<ul class="min-h-0 grow overflow-y-auto">
  {#each closing as c (c.pieceId)}
    {@render row(
      `until ${sayWhen(c.until, now, zone)}`,
      `${name([c.pieceId])} takes a coat without a scuff${c.last === undefined ? '; you are not there before' : `; begin by ${sayWhen(c.last, now, zone)}`}`,
      `/pieces/${c.pieceId}`,
      'text-open',
    )}
  {/each}
  {#each next.slice(0, 9) as s (s.id)}
    {@render row(dayAndTime(s.from), `${saySession(s)}, ${name(s.pieceIds)}`, `/calendar?at=${encodeURIComponent(s.id)}`)}
  {/each}
  {#each promised as p (p.pieceId)}
    {@render row(sayDue(p, now, zone), `${p.name} promised: ${sayPromise(p)}`, `/calendar?promise=${p.pieceId}`, p.kept ? '' : 'text-buoy')}
  {/each}
  {#if !closing.length && !next.length && !promised.length}<li class="p-3 text-soft">Nothing in the next three days.</li>{/if}
</ul>
