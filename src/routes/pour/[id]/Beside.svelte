<script lang="ts">
  import type { Bench } from '#core/bench';
  import { stepKey, type ToldBatch, type ToldStep } from '#core/document';
  import { lastBead, say } from '#core/pour';
  import { stepsLeft, unknownEvents, type Session } from '#core/record';
  import { fixed, thicknessWord, writeSpan } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime, running as counted } from '$lib/ui/clock.svelte';
  import { clockSays } from './clock';

  /** What stands beside the step at hand: the clock of its batch, what comes next, and what was noted. */
  interface Props {
    session: Session;
    step: ToldStep | undefined;
    /** The batch the clock is about, counted from 0. */
    number: number;
    /** As it was told, or as it runs by what was measured since. */
    batch: ToldBatch | undefined;
    /** Since its A and B met, min. */
    since: number | undefined;
    at: Bench | undefined;
    parts: typeof import('./parts') | undefined;
  }
  let { session, step, number, batch, since, at, parts }: Props = $props();

  const told = $derived(session.told);
  const upcoming = $derived(stepsLeft(session).filter((s) => s !== step));
  const white = $derived(stepsLeft(session).find((s) => s.id.does === 'white' && s.batch === number));
  const says = $derived(clockSays(batch, since, Boolean(white)));
  const clock = $derived(at?.clocks[number]);
  const mixed = $derived(session.mixedAt.get(number));
  const beaded = $derived(mixed !== undefined && lastBead(session.events, number, mixed) !== undefined);
  const method = $derived(session.pour.planned.method);
  const whiteCup = $derived(clock?.cups.find((c) => c.cup?.white));
  const thickness = $derived(whiteCup && since !== undefined ? whiteCup.thickness(since) : undefined);
  const several = $derived(session.pour.planned.pieces.length > 1);
  /** How thick the white is by now, for the hand first; one figure beside the other after it. */
  function whiteSays(pas: number, ready: number): string {
    const figures = `${fixed(pas, 1)} Pa·s, ready from ${fixed(ready, 1)}`;
    if (pas >= ready) return `The white has body: it is ${thicknessWord(pas)} (${figures}).`;
    return thicknessWord(pas) === thicknessWord(ready)
      ? `The white is nearly there: it is ${thicknessWord(pas)}, and wants a little more (${figures}).`
      : `The white is still ${thicknessWord(pas)}; let it thicken until it is ${thicknessWord(ready)} (${figures}).`;
  }
  const nextWords = (s: ToldStep): string =>
    `${several && s.boards.length ? `${s.boards.map((b) => b.name).join(' and ')}: ` : ''}${say(s, told, shared.write).short}`;
</script>

<!-- in a low window it scrolls, and must be reached without a mouse -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<aside
  class="flex min-h-0 flex-col gap-3 overflow-x-hidden overflow-y-auto border-nightline p-5 -outline-offset-2 max-lg:border-t lg:border-l"
  tabindex="0"
  aria-label="Clock"
>
  {#if batch}
    <div>
      <p class="text-[15px] text-nightsoft">{says.title}{told.batches.length > 1 ? `, batch ${number + 1}` : ''}</p>
      {#if says.left !== undefined}
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="text-[64px] leading-tight" data-testid="left">{counted(says.left)}</span><span class="text-[17px] text-nightsoft"
            >{says.of}</span
          >
        </p>
      {/if}
    </div>
    {#if parts && clock}
      <div class="bench h-50 shrink-0">
        <parts.ClockChart {clock} ready={method.whiteReady} limit={method.whiteLimit} now={since} small />
      </div>
      <p class="text-[15px] text-nightsoft">
        {#if white && clock.likely.whiteFrom}White gets ready {writeSpan(clock.likely.whiteFrom.from, clock.likely.whiteFrom.until)} after mixing.{/if}
        {#if beaded}A bead has corrected this clock.{/if}
        {#if at?.airRead}It runs on the air as it was read.{/if}
      </p>
    {:else}<div class="h-50 shrink-0"></div>{/if}
    {#if white && since !== undefined && thickness !== undefined}
      <p class="text-[15px] text-nightsoft">{whiteSays(thickness, method.whiteReady)}</p>
    {/if}
  {/if}
  {#if upcoming.length}
    <div class="border-t border-nightline pt-3">
      <p class="text-[15px] text-nightsoft">Next</p>
      <ol class="mt-1 text-[18px]">
        {#each upcoming.slice(0, 3) as s, i (stepKey(s.id))}<li class={i ? 'text-nightsoft' : ''}>
            {nextWords(s)} <span class="text-[15px] text-nightsoft">· planned at {Math.round(s.at)} min</span>
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
