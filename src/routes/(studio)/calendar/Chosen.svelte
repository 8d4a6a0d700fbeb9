<script lang="ts">
  import { sayMinutes, saySession, type Because, type Session } from '#core/calendar';
  import { setDone } from '$lib/store/diary';
  import { attempt } from '$lib/ui/attempt';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { clockTime, dayAndTime, minutes, weekday } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';

  /** The session that is chosen: why it is there and not sooner, how long it can wait, and what can be done with it. */
  interface Props {
    session: Session;
    names: string;
    /** A plan is only tried. */
    trying: boolean;
    barred: boolean;
    holds: (session: Session) => void;
    bars: (day: string) => void;
    tries: (session: Session, at: number) => void;
    puts: () => void;
    drops: () => void;
  }
  let { session, names, trying, barred, holds, bars, tries, puts, drops }: Props = $props();

  let because = $state.raw<Because>();
  $effect(() => {
    const { id, follows } = session;
    void session.begins;
    because = undefined;
    if (!follows) void studioCalendar.because(id).then((b) => session.id === id && (because = b));
  });
  const day = $derived(zone.dayOf(session.begins));
  const link = $derived(session.kind === 'pour' ? `/pieces/${session.pieceIds[0]}` : `/pieces/${session.pieceIds[0]}/board`);
  const typed = $derived(zone.civil(session.begins));
</script>

<div class="flex min-h-0 grow flex-col gap-1.5 overflow-y-auto px-3 pt-2">
  <p class="text-[13px] text-soft">
    {saySession(session)} · {dayAndTime(session.begins)} to {clockTime(session.until)}{session.scuff
      ? `, scuffed first for ${sayMinutes(session.scuff)}`
      : ''}{session.place ? ` · on ${session.place}` : ''}
  </p>
  {#if trying}
    <p>This is only tried. What moves with it stands beside.</p>
    <p class="flex flex-wrap gap-2">
      <button type="button" class="button button-main" onclick={puts}>Put it there</button>
      <button type="button" class="button" onclick={drops}>Leave it where it was</button>
    </p>
  {:else}
    {#if session.follows}
      <p>It follows its pour by itself, at the first moment you are there.</p>
    {:else if because}
      <p><b>Not sooner:</b> {because.notSooner}</p>
      <p><b>Can wait:</b> {because.canWait}</p>
    {:else}<p class="text-soft" aria-busy="true">Looking at what it waits for.</p>{/if}
    {#if !session.follows}
      <label class="flex flex-wrap items-center gap-2 text-[13px]"
        >Move it to<input
          type="datetime-local"
          class="input w-50! min-h-7!"
          step="900"
          value={typed}
          onchange={(e) => e.currentTarget.value && tries(session, zone.momentOf(e.currentTarget.value))}
        /></label
      >
    {/if}
  {/if}
</div>
{#if !trying}
  <p class="flex shrink-0 flex-wrap gap-x-4 gap-y-1 px-3 pt-1 pb-2 text-[13px]">
    {#if !session.follows}<button type="button" class="underline" onclick={() => holds(session)}
        >{session.pinned ? 'Let it go' : 'Hold it here'}</button
      >{/if}
    <button type="button" class="underline" onclick={() => bars(day)}>{barred ? 'Open' : 'Bar'} {weekday(session.begins)}</button>
    <a class="underline" href={link}>{session.kind === 'pour' ? 'See the pour' : 'See its work'}</a>
    {#if session.kind !== 'pour'}<button
        type="button"
        class="underline"
        onclick={() => attempt(() => setDone(session.works, minutes.now, `${names}: ${saySession(session)} is done`))}>It is done</button
      >{/if}
  </p>
{/if}
