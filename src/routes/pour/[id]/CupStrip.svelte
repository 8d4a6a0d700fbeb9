<script lang="ts">
  import { cupsNow, sinceMixed, type Bench, type CupNow } from '#core/bench';
  import type { Session } from '#core/record';
  import { writeContents } from '#core/pour';
  import { thicknessWord } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime } from '$lib/ui/clock.svelte';

  /** The cups of the pour along the bottom: colour, what is left, age and state. A tap opens one. */
  interface Props {
    session: Session;
    now: number;
    /** Whose clocks tell how thick a white is by now. */
    at: Bench | undefined;
    oncup: (cup: CupNow) => void;
  }
  let { session, now, at, oncup }: Props = $props();

  const cups = $derived(cupsNow(session));
  function body(batch: number, since: number | undefined): string | undefined {
    const white = at?.clocks[batch]?.cups.find((own) => own.cup?.white);
    return white && since !== undefined ? thicknessWord(white.thickness(since)) : undefined;
  }
  function says(c: CupNow): string {
    const since = sinceMixed({ session, now }, c.cup.batch);
    const age = since === undefined ? '' : `${Math.floor(since)} min old`;
    switch (c.state) {
      case 'to be mixed':
        return writeContents(c.cup, shared.write).join(', ') || 'clear';
      case 'used':
        return `used ${clockTime(c.used!)}`;
      case 'gone thick':
        return 'gone thick';
      case 'ready': {
        const word = c.cup.id.role === 'white' ? body(c.cup.batch, since) : undefined;
        return [age, word ?? 'ready'].join(' · ');
      }
    }
  }
</script>

<!-- it scrolls sideways on a narrow screen, and a keyboard must be able to do that -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul class="relative flex shrink-0 overflow-x-auto border-t border-nightline" tabindex="0" aria-label="Cups">
  {#each cups as c, i (c.key)}
    <li class="min-w-34 grow border-r border-nightline last:border-r-0">
      <button type="button" class="flex min-h-24 w-full flex-col p-3 text-left" onclick={() => oncup(c)}>
        <span class="relative block h-9 w-full overflow-hidden rounded-b-[10px] border border-nightline">
          <span
            class="absolute inset-x-0 bottom-0"
            style:height="{c.state === 'to be mixed' ? 100 : Math.min(100, (100 * c.left) / Math.max(1, c.cup.ml))}%"
            style:background-color={c.cup.colour ?? '#2b353b'}
          ></span></span
        >
        <span class="mt-2 flex w-full justify-between gap-2 text-[16px]"
          ><b class="truncate">{c.cup.name}</b><span class="whitespace-nowrap"
            >{shared.write.volume(c.state === 'to be mixed' ? c.cup.ml : c.left)}</span
          ></span
        >
        <span class="line-clamp-2 text-[14px] text-nightsoft"
          >{#if i < 9}<kbd class="sr-only">{i + 1}</kbd>{/if}{says(c)}{c.over < -1 && c.wanted > 0 ? ' · too little' : ''}</span
        >
      </button>
    </li>
  {/each}
</ul>
