<script lang="ts">
  import { readyItems } from '#core/bench';
  import type { Happening, Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';

  /** What must be so before A and B meet, from each piece's own plan: seen to with a tap, or passed over; and the cautions, once. */
  interface Props {
    session: Session;
    caution: string | undefined;
    busy: boolean;
    ontap: (happening: Happening) => void;
  }
  let { session, caution, busy, ontap }: Props = $props();

  const items = $derived(readyItems(session.pour, session.told, shared.write));
  const met = $derived(new Map(session.events.flatMap((e) => (e.kind === 'ready' ? e.items.map((item) => [item, e.as] as const) : []))));
  const open = $derived(items.filter((i) => !met.has(i.item)));
  const groups = $derived(
    [...new Set(items.map((i) => i.piece))].map((piece) => ({ piece, items: items.filter((i) => i.piece === piece) })),
  );
</script>

<main class="flex min-h-0 grow flex-col gap-4 overflow-y-auto px-5 pt-6 sm:px-10">
  <p class="font-serif text-[32px] leading-[1.1] sm:text-[40px]" role="status">Before you start</p>
  {#if caution}<p class="max-w-[90ch] border-l-3 border-[#d9a441] pl-3 text-[17px]">{caution}</p>{/if}
  <div class="grid gap-x-8 gap-y-4 lg:grid-cols-2 xl:grid-cols-3">
    {#each groups as group (group.piece ?? '')}
      <section aria-label={group.piece ?? 'The bench'}>
        <h2 class="font-serif text-[22px]">{group.piece ?? 'The bench'}</h2>
        <ul class="mt-1">
          {#each group.items as i (i.item)}
            {@const as = met.get(i.item)}
            <li class="border-t border-nightline">
              <button
                type="button"
                class="flex min-h-16 w-full items-start gap-3 py-2 text-left"
                aria-pressed={as !== undefined}
                disabled={busy || as !== undefined}
                onclick={() => ontap({ kind: 'ready', items: [i.item], as: 'seen to' })}
              >
                <span
                  class="mt-0.5 flex size-7 shrink-0 items-center justify-center rounded-[4px] border-2 border-nightline"
                  aria-hidden="true">{as === 'seen to' ? '✓' : as ? '–' : ''}</span
                >
                <span
                  ><span class="block text-[18px] {as ? 'text-nightsoft' : ''}">{i.says}{as === 'passed over' ? ' Passed over.' : ''}</span
                  >{#if i.detail}<span class="block text-[15px] text-nightsoft">{i.detail}</span>{/if}</span
                >
              </button>
            </li>
          {/each}
        </ul>
      </section>
    {/each}
  </div>
  <div class="sticky bottom-0 mt-auto flex flex-wrap items-center gap-3 bg-night py-3">
    <button
      type="button"
      class="button-bench button-bench-main"
      disabled={busy}
      onclick={() => ontap({ kind: 'ready', items: open.map((i) => i.item), as: 'seen to' })}>All of it is so <kbd>space</kbd></button
    >
    <button
      type="button"
      class="button-bench"
      disabled={busy}
      onclick={() => ontap({ kind: 'ready', items: open.map((i) => i.item), as: 'passed over' })}
      >Pass over what is left <kbd>O</kbd></button
    >
    <p class="text-[17px] text-nightsoft">{open.length} of {items.length} to see to</p>
  </div>
</main>
