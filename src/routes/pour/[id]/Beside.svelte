<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { onMount } from 'svelte';
  import { stepKey, type ToldStep } from '#core/document';
  import { say } from '#core/pour';
  import { unknownEvents, type Session } from '#core/record';
  import { fixed, thicknessWord, writeSpan } from '#core/units';
  import { clockTime, running as counted } from '$lib/ui/clock.svelte';
  import { clockSays } from './clock';

  /** What stands beside the step at hand: the clock of its batch, what comes next, and what was noted. */
  interface Props {
    session: Session;
    step: ToldStep | undefined;
    /** The batch the clock is about, counted from 0. */
    number: number;
    /** Since its A and B met, min. */
    since: number | undefined;
    /** ms since 1970, by the minute. */
    now: number;
    /** Asks for a bead check. */
    onbead: () => void;
  }
  let { session, step, number, since, now, onbead }: Props = $props();

  const told = $derived(session.told);
  /** The steps stand as soon as they are read; how thick the white is follows. */
  let curves = $state.raw<typeof import('./thickness') & typeof import('./chart')>();
  onMount(async () => {
    const [thickness, chart] = await Promise.all([import('./thickness'), import('./chart')]);
    curves = { ...thickness, ...chart };
    curves.readOn();
  });
  const running = $derived(curves?.runningOf(session, number, now));
  const batch = $derived(running?.batch ?? told.batches[number]);
  const isDone = (s: ToldStep): boolean => session.doneAt.has(stepKey(s.id));
  const upcoming = $derived(step ? told.steps.slice(told.steps.indexOf(step) + 1).filter((s) => !isDone(s)) : []);
  const white = $derived(told.steps.find((s) => s.id.does === 'white' && s.batch === number && !isDone(s)));
  const clock = $derived(clockSays(batch, since, Boolean(white)));
  /** How thick the white is by now, for the hand first; one figure beside the other after it. */
  function whiteSays(pas: number, ready: number): string {
    const figures = `${fixed(pas, 1)} Pa·s, ready from ${fixed(ready, 1)}`;
    return pas >= ready
      ? `The white has body: it is ${thicknessWord(pas)} (${figures}).`
      : `The white is still ${thicknessWord(pas)}; let it thicken until it is ${thicknessWord(ready)} (${figures}).`;
  }
  const thickness = $derived(running?.clock.cups.find((c) => c.cup?.white)?.thickness);
</script>

<!-- in a low window it scrolls, and must be reached without a mouse -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<aside
  class="flex min-h-0 flex-col gap-4 overflow-x-hidden overflow-y-auto border-nightline p-5 -outline-offset-2 max-lg:border-t lg:border-l"
  tabindex="0"
  aria-label="Clock"
>
  {#if batch}
    <div>
      <p class="text-[15px] text-nightsoft">{clock.title}</p>
      {#if clock.left !== undefined}
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="text-[72px] leading-tight" data-testid="left">{counted(clock.left)}</span><span class="text-[17px] text-nightsoft"
            >{clock.of}</span
          >
        </p>
      {/if}
    </div>
    {#if curves && running}
      <div class="bench h-58 shrink-0">
        <curves.ClockChart
          clock={running.clock}
          ready={session.pour.planned.method.whiteReady}
          limit={session.pour.planned.method.whiteLimit}
          now={since}
          small
        />
      </div>
      <p class="text-[15px] text-nightsoft">
        {#if white && running.clock.likely.whiteFrom}White gets ready {writeSpan(
            running.clock.likely.whiteFrom.from,
            running.clock.likely.whiteFrom.until,
          )} after mixing.{/if}
        {#if running.bead}A bead has corrected this clock.{/if}
        {#if running.air}It runs on the air as the thermometer read it.{/if}
      </p>
    {:else}<div class="h-58 shrink-0"></div>{/if}
    {#if since !== undefined}<button type="button" class="button-bench self-start" onclick={onbead}>Bead check</button>{/if}
    {#if white && since !== undefined && thickness}
      <p class="text-[15px] text-nightsoft">
        {whiteSays(thickness(since), session.pour.planned.method.whiteReady)}
      </p>
    {/if}
  {/if}
  {#if upcoming.length}
    <div class="border-t border-nightline pt-4">
      <p class="text-[15px] text-nightsoft">Next</p>
      <ol class="mt-1 text-[18px]">
        {#each upcoming.slice(0, 3) as s, i (stepKey(s.id))}<li class={i ? 'text-nightsoft' : ''}>
            {say(s, told, shared.write).short} <span class="text-[15px] text-nightsoft">· planned at {Math.round(s.at)} min</span>
          </li>{/each}
      </ol>
    </div>
  {/if}
  {#each session.events.filter((e) => e.kind === 'note') as e (e.seq)}
    <p class="text-[15px] text-nightsoft">{clockTime(Date.parse(e.at))} {e.kind === 'note' ? e.text : ''}</p>
  {/each}
  {#each unknownEvents(session.pour) as e (e.seq)}
    <p class="text-[15px] text-nightsoft">{clockTime(Date.parse(e.at))} “{e.kind}”, recorded by a later Nerite</p>
  {/each}
</aside>
