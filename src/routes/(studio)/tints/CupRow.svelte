<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { cupFill } from '#core/cure';
  import { hexOf, recipeSeen, type Rgb } from '#core/tint';
  import { writeDose } from '#core/pour';
  import type { MadeCup, Worked } from './slope.svelte';

  /** Each cup as deep as it is filled, with a smear up its wall: bulk and film of the same tint. */
  interface Props {
    work: Worked;
    /** In the order they are laid. */
    cups: MadeCup[];
    picked: string;
    onpick: (cupId: string) => void;
  }
  let { work, cups, picked, onpick }: Props = $props();

  /** Wall of a plain cup behind what is in it, as internal reflectance. */
  const WALL: Rgb = [0.8, 0.8, 0.8];
  const most = $derived(Math.max(...cups.map((c) => cupFill(c.cup.ml).depth)));
  /** Fill of the largest cup on the drawing, px. */
  const DRAWN = 66;
  const drawn = $derived(
    cups.map((c) => {
      const { depth } = cupFill(c.cup.ml);
      const height = (DRAWN * depth) / most;
      return {
        c,
        y: 96 - height,
        bulk: hexOf(recipeSeen(c.made.recipe, work.means.colourants, depth, WALL)),
        smear: hexOf(recipeSeen(c.made.recipe, work.means.colourants, work.slope.film, WALL)),
      };
    }),
  );
  /** Half of the cup's width at a height on the drawing. */
  const half = (y: number): number => 28 + ((96 - y) / 84) * 9;
</script>

<div class="grid auto-cols-fr grid-flow-col gap-1" role="group" aria-label="Cups">
  {#each drawn as { c, y, bulk, smear } (c.cup.id)}
    {@const open = c.cup.id === picked}
    <button
      type="button"
      class="flex min-w-0 flex-col items-center rounded-sheet border px-0.5 pb-1 {open
        ? 'border-buoy bg-paper'
        : 'border-transparent hover:border-line'}"
      aria-pressed={open}
      onclick={() => onpick(c.cup.id)}
    >
      <svg viewBox="0 0 90 100" class="work h-18 w-full max-w-28" aria-hidden="true">
        <path d="M8 12H82L73 96H17Z" class="fill-paper" />
        <path d="M{45 - half(y)} {y}Q45 {y + 5} {45 + half(y)} {y}L73 96H17Z" fill={bulk} />
        <path
          d="M{45 + half(y) * 0.35} {y + 2}Q{45 + half(y) * 0.6} {y - 14} {45 + half(y - 20) - 4} {Math.max(16, y - 24)}L{45 +
            half(y) -
            1} {y + 1}Z"
          fill={smear}
        />
        <path d="M8 12L17 96H73L82 12" class="fill-none stroke-soft" stroke-width="1.2" />
        <path d="M6 12H84" class="stroke-soft" stroke-width="1.2" />
      </svg>
      <span class="max-w-full truncate font-bold"
        >{c.cup.name}{#if c.cup.recipe}<span class="font-normal text-soft">, locked</span>{/if}</span
      >
      {#each c.made.doses as d (d.colourantId)}
        <span class="max-w-full text-[12.5px] leading-tight text-soft"
          ><span
            class="mr-1 inline-block h-2.5 w-2.5 rounded-[2px] border border-line"
            style:background-color={hexOf(recipeSeen([{ colourantId: d.colourantId, load: 0.002 }], work.means.colourants, 1.5, WALL))}
          ></span>{writeDose(d, shared.write)}</span
        >
      {:else}<span class="text-[12.5px] text-soft">clear</span>{/each}
    </button>
  {/each}
</div>
