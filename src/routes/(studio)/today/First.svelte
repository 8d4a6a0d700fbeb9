<script lang="ts">
  import { sayMinutes, saySession, sayWhen, type Session, type Today } from '#core/calendar';
  import { shared } from '$lib/store/shared.svelte';
  import { setDone } from '$lib/store/diary';
  import { planner } from '$lib/planner';
  import { attempt } from '$lib/ui/attempt';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import { zone } from '$lib/zone';

  /** What wants hands now, or next: what it is, until when, and the way to it. */
  let { today, session, now }: { today: Today; session: Session; now: number } = $props();

  const pieces = $derived(session.pieceIds.flatMap((id) => shared.pieces?.find((p) => p.id === id) ?? []));
  const piece = $derived(pieces[0]);
  const means = $derived(shared.means);
  const plan = $derived(piece && means ? planner.planIfAble(piece, means) : undefined);
  const pour = $derived(session.pour === undefined ? undefined : plan?.pours[session.pour]);
  const ml = $derived(pour?.batches.reduce((sum, b) => sum + b.ml, 0) ?? 0);
  const cups = $derived(pour?.batches.reduce((sum, b) => sum + b.cups.length, 0) ?? 0);
  const names = $derived(pieces.map((p) => p.name).join(' and '));
  const minutes = $derived((session.until - session.from) / 60_000);
  const when = $derived(today.dueNow ? 'Due now' : `Next, ${dayAndTime(session.from)}`);
  const mix = $derived(session.pour === undefined ? '' : session.pieceIds.map((id) => `${id}:${session.pour}`).join(','));
</script>

<section
  class="sheet flex shrink-0 flex-wrap items-center gap-6 p-4 {today.dueNow ? 'border-buoy!' : ''}"
  aria-label="What wants your hands"
>
  {#if plan}<a
      href="/pieces/{piece!.id}"
      class="flex h-42 w-60 shrink-0 items-center justify-center max-sm:h-30 max-sm:w-full"
      aria-label={piece!.name}><Thumb {plan} class="max-h-full max-w-full" /></a
    >{/if}
  <div class="min-w-60 grow basis-0">
    <p class="font-bold {today.dueNow ? 'text-buoy' : 'text-soft'}">{when}</p>
    <h2 class="text-[26px] leading-tight">{saySession(session)}{names ? `, ${names}` : ''}</h2>
    {#if session.scuff}
      <p class="mt-1">Scuff and wipe it first, {sayMinutes(session.scuff)}: the film below no longer bonds by itself.</p>
    {:else if today.until}
      <p class="mt-1">The film below bonds by itself until <b>{sayWhen(today.until, now, zone)}</b>. Later it must be scuffed and wiped.</p>
    {/if}
    <p class="text-soft">
      {#if pour && ml}{shared.write.volume(ml)} in {pour.batches.length === 1 ? 'one batch' : `${pour.batches.length} batches`} · {cups}
        {cups === 1 ? 'cup' : 'cups'} ·
      {/if}about {sayMinutes(minutes)}{session.place ? ` · on ${session.place}` : ''}
    </p>
  </div>
  <div class="flex shrink-0 flex-col gap-2">
    {#if session.kind === 'pour'}
      <a class="button button-main min-h-11!" href="/pieces/{session.pieceIds[0]}?start&with={session.pieceIds.slice(1).join(',')}"
        >Start the pour</a
      >
      <a class="button" href="/mix/sheet?with={mix}">Mix sheet</a>
    {:else}
      <button
        type="button"
        class="button button-main min-h-11!"
        onclick={() => attempt(() => setDone(session.works, now, `${names}: ${saySession(session)} is done`))}>It is done</button
      >
      <a class="button" href="/pieces/{session.pieceIds[0]}/board">See its work</a>
    {/if}
    <a class="button" href="/calendar?at={encodeURIComponent(session.id)}">Move it</a>
  </div>
</section>
