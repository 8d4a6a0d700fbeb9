<script lang="ts">
  import {
    sayCare,
    sayDue,
    sayPieces,
    sayPromise,
    saySession,
    sayWhen,
    type Calendar,
    type Care,
    type Closing,
    type Session,
  } from '#core/calendar';
  import { shared } from '$lib/store/shared.svelte';
  import { setDone } from '$lib/store/diary';
  import { attempt } from '$lib/ui/attempt';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';

  /** Windows that close, what comes next, and what was promised. */
  interface Props {
    /** What is to be seen to after pours that ended, each done with one tap. */
    care: Care[];
    next: Session[];
    closing: Closing[];
    calendar: Calendar;
    now: number;
  }
  let { care, next, closing, calendar, now }: Props = $props();
  const name = (ids: readonly string[]): string => sayPieces(ids, shared.pieces ?? []);
  /** What stands here with a button of its own is not listed a second time. */
  const seen = $derived(new Set(care.flatMap((c) => c.works)));
  const others = $derived(next.filter((s) => !s.works.some((w) => seen.has(w))));
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
  {#each care as c (c.works.join())}
    {@const says = sayCare[c.kind].does}
    <li class="grid grid-cols-[100px_minmax(0,1fr)_auto] items-center gap-x-2 border-b border-rule px-3 py-1" title={sayCare[c.kind].why}>
      <span class="text-soft">{c.from <= now ? `until ${sayWhen(c.until, now, zone)}` : dayAndTime(c.from)}</span>
      <span class={c.from <= now ? 'text-buoy' : ''}>{says}, {name(c.pieceIds)}</span>
      <button
        type="button"
        class="button max-sm:min-h-11!"
        aria-label="{says}, {name(c.pieceIds)}: done"
        onclick={() => attempt(() => setDone(c.works, now, `${name(c.pieceIds)}: ${says}`))}>Done</button
      >
    </li>
  {/each}
  {#each closing as c (c.pieceId)}
    {@render row(
      `until ${sayWhen(c.until, now, zone)}`,
      `${name([c.pieceId])} takes a coat without a scuff${c.last === undefined ? '; you are not there before' : `; begin by ${sayWhen(c.last, now, zone)}`}`,
      `/pieces/${c.pieceId}`,
      'text-open',
    )}
  {/each}
  {#each others.slice(0, 9) as s (s.id)}
    {@render row(dayAndTime(s.from), `${saySession(s)}, ${name(s.pieceIds)}`, `/calendar?at=${encodeURIComponent(s.id)}`)}
  {/each}
  {#each promised as p (p.pieceId)}
    {@render row(sayDue(p, now, zone), `${p.name} promised: ${sayPromise(p)}`, `/calendar?promise=${p.pieceId}`, p.kept ? '' : 'text-buoy')}
  {/each}
  {#if !care.length && !closing.length && !others.length && !promised.length}<li class="p-3 text-soft">
      Nothing in the next three days.
    </li>{/if}
</ul>
