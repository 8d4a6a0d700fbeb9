<script lang="ts">
  import type { PhotoReading, WaveCoat } from '#core/document';
  import type { Figures } from '#core/foam';
  import { pictureQuality, pictureRows } from '#core/picture';
  import type { PiecePlan } from '#core/plan';
  import { shared } from '$lib/store/shared.svelte';

  /** What was measured, beside the plan and the rehearsal: what it means first, then the figures. */
  interface Props {
    reading: PhotoReading;
    plan: PiecePlan;
    wave: WaveCoat | undefined;
    coats: number;
    figures: Figures | undefined;
  }
  let { reading, plan, wave, coats, figures }: Props = $props();
  const rows = $derived(pictureRows(reading, plan, wave, coats, shared.write, figures));
</script>

<table class="w-full text-[14px]">
  <thead
    ><tr class="text-left text-[13px] text-soft [&>th]:pr-3 [&>th]:pb-1 [&>th]:font-normal"
      ><th scope="col">what</th><th scope="col">measured</th><th scope="col">planned</th>{#if figures}<th scope="col">rehearsed</th
        >{/if}</tr
    ></thead
  >
  <tbody>
    {#each rows as row (row.what)}
      <tr class="border-t border-rule align-baseline [&>td]:py-1.5 [&>td]:pr-3">
        <th scope="row" class="pr-3 text-left font-normal"
          >{row.what}{#if row.means}<b class="block text-[13px]">{row.means}</b>{/if}</th
        >
        <td>{row.measured} <span class="text-[12px] whitespace-nowrap text-soft">{row.sure}</span></td>
        <td class="text-soft">{row.planned ?? '–'}</td>
        {#if figures}<td class="text-soft">{row.rehearsed ?? '–'}</td>{/if}
      </tr>
    {/each}
  </tbody>
</table>
<p class="text-[13px] text-soft">
  The picture: {pictureQuality(reading, shared.write)} ± is how far a figure may be off, nine times of ten, as rendered boards of known answer
  came back{figures ? '; the rehearsal is a model of one luck over a stretch of the shore' : ''}.
</p>
