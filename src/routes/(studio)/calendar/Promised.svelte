<script lang="ts">
  import { sayDay } from '#core/air';
  import { sayObstacle, sayPieces, sayPromise, type Lane, type Suggestion } from '#core/calendar';
  import { take } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { suggestionsOf } from '$lib/work/calendar';
  import { zone } from '$lib/zone';

  /** A promise: kept with how much to spare, or what would have to give; each way was really planned. */
  let { lane }: { lane: Lane } = $props();

  const promise = $derived(lane.promise);
  let found = $state.raw<Suggestion[]>();
  let share = $state(0);
  // planned otherwise as soon as it is looked at, and again when its own day or the others' are
  const asks = $derived(promise && !promise.kept ? `${lane.pieceId} ${promise.on} ${promise.ready}` : '');
  $effect(() => {
    found = undefined;
    share = 0;
    if (!asks) return;
    const looking = suggestionsOf(studioCalendar.when, lane.pieceId, (_, s = 0) => (share = s));
    void looking.done.then(
      (all) => (found = all),
      (error: unknown) => (console.error(error), (found = [])),
    );
    return () => looking.stop();
  });
  const broken = (s: Suggestion): string => sayPieces(s.breaks, shared.pieces ?? []);
</script>

<div class="flex min-h-0 grow flex-col gap-1.5 overflow-y-auto p-3">
  {#if lane.obstacle}<p class="text-buoy">{sayObstacle(lane.obstacle, shared.room?.name ?? 'this room')}</p>{/if}
  {#if promise?.kept && promise.ready !== undefined}
    <p>It can be handed over on <b>{dayAndTime(promise.ready)}</b>: <span class="text-open">{sayPromise(promise)}</span>.</p>
    <p class="text-[13px] text-soft">It is fully hard by then, by the air above.</p>
  {:else if promise}
    {#if promise.ready !== undefined}<p>
        It is ready on <b>{dayAndTime(promise.ready)}</b>, <span class="text-buoy">{sayPromise(promise)}</span>. What would have to give:
      </p>{/if}
    {#if found}
      {#each found as s (s.says)}
        <p class="flex items-baseline justify-between gap-3">
          <span
            >{s.says}: <b>{s.ready === undefined ? '' : dayAndTime(s.ready)}</b>{#if s.breaks.length}<span class="text-buoy"
                >, and {broken(s)} is late</span
              >{/if}</span
          >
          <button
            type="button"
            class="chip shrink-0 {s.kept ? 'border-open' : ''}"
            onclick={() => attempt(() => take(s.gives, `${lane.name}: ${s.says}`))}
            aria-label="Take it: {s.says}">Take it</button
          >
        </p>
      {:else}<p>Nothing that was tried makes it sooner.</p>{/each}
    {:else}<p class="text-soft" aria-busy="true">
        Planning it otherwise <progress class="w-24 align-middle" value={share}></progress>
      </p>{/if}
  {:else}
    <p>{lane.name} is promised for no day.{lane.ready === undefined ? '' : ` All of it is done on ${sayDay(lane.ready, zone)}.`}</p>
  {/if}
</div>
