<script lang="ts">
  import type { Session } from '#core/record';
  import type { Pouring } from './pouring.svelte';

  /** A pour with no step at hand: given up, done, or with nothing more told for it. */
  interface Props {
    pouring: Pouring;
    session: Session;
    parts: typeof import('./parts') | undefined;
  }
  let { pouring, session, parts }: Props = $props();
  const undone = $derived(pouring.busy || !session.events.length);
</script>

<div class="flex min-h-0 grow flex-col gap-3 lg:overflow-y-auto">
  <p class="font-serif text-[32px] leading-[1.1] sm:text-[46px]" role="status">
    {session.abandoned
      ? 'This pour was abandoned.'
      : session.done !== undefined
        ? 'The pour is done.'
        : 'Nothing more was told for this pour.'}
  </p>
  <p class="max-w-prose text-[19px] text-nightsoft">
    {#if session.abandoned}{session.abandoned.why} The piece stands as before.
    {:else if session.done !== undefined}It is in the log. Say there how it came out once it has cured.
    {:else}{session.told.steps.length
        ? 'Every step is done.'
        : 'It was stored without a plan this version can read; what was recorded is kept.'} End it when the boards are covered.
    {/if}
  </p>
  {#if session.done !== undefined && !session.abandoned && parts}<parts.After {session} ontap={(h) => void pouring.tap(h)} />{/if}
</div>
<div class="mt-auto flex shrink-0 flex-wrap gap-3 pt-2">
  {#if session.abandoned}
    <a class="button-bench button-bench-main" href="/pieces/{session.pour.of[0]!.pieceId}">To the piece</a>
  {:else if session.done !== undefined}
    <a class="button-bench button-bench-main" href="/log/{session.pour.id}">To the log</a>
    <a class="button-bench" href="/today">To Today</a>
  {:else}
    <button type="button" class="button-bench button-bench-main" disabled={pouring.busy} onclick={() => pouring.tap({ kind: 'done' })}
      >The pour is done</button
    >
  {/if}
  <button type="button" class="button-bench" disabled={undone} onclick={() => pouring.undo()}>Undo <kbd>U</kbd></button>
</div>
