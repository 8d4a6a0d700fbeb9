<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import type { Piece } from '#core/document';
  import type { Means } from '#core/plan';
  import type { Standing } from '#core/record';
  import { planner } from '$lib/planner';
  import { writeBoard } from '$lib/ui/board';
  import { dayMonth, minutes } from '$lib/ui/clock.svelte';
  import { doingNow } from '$lib/ui/doing';
  import Thumb from '$lib/ui/Thumb.svelte';

  /** A piece in the list. It is planned and drawn once it comes near the screen, so that a long list opens at once. */
  interface Props {
    piece: Piece;
    /** Undefined while the pours are still being read. */
    standing: Standing | undefined;
    means: Means;
  }
  let { piece, standing, means }: Props = $props();

  let near = $state(false);
  const plan = $derived(near ? planner.planIfAble(piece, means) : undefined);
  const needs = $derived(standing?.next && plan?.pours[standing.next.pour]?.batches.reduce((sum, b) => sum + b.ml, 0));

  function watch(row: Element) {
    const observer = new IntersectionObserver(([entry]) => (near ||= entry!.isIntersecting), { rootMargin: '300px' });
    observer.observe(row);
    return () => observer.disconnect();
  }
</script>

<li class="min-w-0 border-rule lg:border-b" {@attach watch}>
  <a href="/pieces/{piece.id}" class="flex items-center gap-4 px-4 py-3 hover:bg-paper">
    <span class="flex h-18 w-28 shrink-0 items-center justify-center"
      >{#if plan}<Thumb {plan} class="max-h-full max-w-full" />{/if}</span
    >
    <span class="min-w-0 grow">
      <span class="block truncate font-serif text-[21px]">{piece.name}</span>
      <span class="block {standing?.open ? 'font-bold text-buoy' : ''}">{standing ? doingNow(standing, minutes.now) : ' '}</span>
      <span class="block truncate text-[13px] text-soft"
        >{writeBoard(piece, shared.write)}{piece.dueOn ? ` · due ${dayMonth(Date.parse(piece.dueOn))}` : ''}</span
      >
    </span>
    {#if needs}
      <span class="shrink-0 text-right max-sm:hidden"
        ><span class="block text-[13px] text-soft">next pour</span><span class="text-[17px]">{shared.write.volume(needs)}</span></span
      >
    {/if}
  </a>
</li>
