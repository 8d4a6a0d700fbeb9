<script lang="ts">
  import type { Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime, dayAndTime, running, seconds } from '$lib/ui/clock.svelte';

  /** What stands above a pour: of what it is, the hour, the bench, how old the batch at hand is, and the ways out. */
  interface Props {
    session: Session;
    name: string;
    celsius: number;
    /** When A and B of the batch at hand met, ms since 1970, and how long ago, min. */
    mixed: number | undefined;
    since: number | undefined;
    /** Nothing is mixed yet: there is nothing to hold. */
    before: boolean;
    onhold: () => void;
    onvoice: () => void;
  }
  let { session, name, celsius, mixed, since, before, onhold, onvoice }: Props = $props();
  /** So long after it was mixed, a running clock says less than the day, min. */
  const LONG = 12 * 60;
</script>

<!-- on a small screen the clock stays above what scrolls, and the button of the step below it -->
<header class="sticky top-0 z-10 flex shrink-0 flex-wrap items-center gap-x-4 border-b border-nightline bg-night px-4 sm:gap-y-1">
  <h1 class="flex min-w-0 items-baseline gap-3 text-[21px] max-sm:sr-only">
    Pouring <span class="truncate font-sans text-[15px] text-nighttext">{name}</span>
  </h1>
  <p class="flex gap-4 text-[15px] max-sm:order-last max-sm:w-full max-sm:pb-2 sm:ml-auto">
    <span>{clockTime(seconds.now)}</span>
    <span class="text-nightsoft">{shared.write.temperature(celsius)}</span>
    {#if since !== undefined && mixed !== undefined}<span class="text-nightsoft"
        >mixed <b class="font-normal text-nighttext" data-testid="since">{since > LONG ? dayAndTime(mixed) : running(since)}</b>
        {since > LONG ? '' : 'ago'}</span
      >{/if}
  </p>
  {#if session.current && !before}<button type="button" class="inline-flex min-h-16 items-center gap-2 px-3 underline" onclick={onhold}
      >{session.held === undefined ? 'Hold' : 'Go on'} <kbd class="text-nightsoft">P</kbd></button
    >{/if}
  {#if session.current}<button type="button" class="inline-flex min-h-16 items-center px-3 underline" onclick={onvoice}>Voice</button>{/if}
  <a href="/pieces/{session.pour.of[0]!.pieceId}" class="inline-flex min-h-16 items-center px-3 underline">Leave for now</a>
</header>
