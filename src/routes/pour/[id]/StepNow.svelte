<script lang="ts">
  import type { Bench } from '#core/bench';
  import type { Point, ToldStep } from '#core/document';
  import type { Words } from '#core/pour';
  import { isPass, type Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import Amounts from './Amounts.svelte';
  import type { Pouring } from './pouring.svelte';
  import Weigh from './Weigh.svelte';

  /** The one thing now: its sentence, its amounts, and beside it the board with where it goes lit. */
  interface Props {
    pouring: Pouring;
    session: Session;
    step: ToldStep;
    words: Words;
    caution: string | undefined;
    at: Bench | undefined;
    parts: typeof import('./parts') | undefined;
    /** Whether this window sounds. */
    leads: boolean;
    /** Whether a field has the keyboard. */
    writing: boolean;
  }
  let { pouring, session, step, words, caution, at, parts, leads, writing = $bindable() }: Props = $props();

  const told = $derived(session.told);
  const heating = $derived(isPass(step.id));
  let along = $state<number>();
  let air = $state.raw<{ at?: Point; strokes: Point[][]; next: number }>();
  const board = $derived(
    step.boards.length && session.pour.planned.pieces.length > 1 ? ` · ${step.boards.map((b) => b.name).join(' and ')}` : '',
  );
</script>

<div class="grid shrink-0 gap-x-6 gap-y-3 xl:grid-cols-[minmax(0,1fr)_minmax(0,380px)]">
  <div class="flex min-w-0 flex-col gap-3">
    <p class="text-[18px] text-nightsoft">
      Step {told.steps.indexOf(step) + 1} of {told.steps.length}{step.coat ? ` · ${step.coat.name}` : ''}{board}
    </p>
    <p class="font-serif text-[32px] leading-[1.1] text-balance sm:text-[42px]" role="status">{words.says}</p>
    <Amounts amounts={words.amounts} />
    {#if caution}<p class="max-w-prose border-l-3 border-[#d9a441] pl-3 text-[16px]">{caution}</p>{/if}
    {#if heating && parts && at}<parts.HeatNow {at} {step} {leads} bind:along bind:air />{/if}
    <p class="max-w-prose text-[19px] text-nightsoft">{words.detail}</p>
    {#if step.id.does === 'mix' && told.batches[step.batch]}
      {#if shared.write.byScale}{#key step.batch}<Weigh
            {session}
            number={step.batch}
            onrecord={(happening) => pouring.happen(happening)}
            bind:writing
          />{/key}{/if}
      <a class="button-bench self-start" href="/scale?pour={session.pour.id}&batch={step.batch}">At the scale</a>
    {/if}
  </div>
  {#if parts}
    <div class="flex min-w-0 flex-col gap-4">
      <parts.BoardNow {session} {step} along={heating ? along : undefined} air={heating ? air : undefined} />
      {#if heating || step.id.does === 'flick'}<parts.HeatTool {at} {step} />{/if}
    </div>
  {/if}
</div>
