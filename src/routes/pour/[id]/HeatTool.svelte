<script lang="ts">
  import { heatPlan, type Bench } from '#core/bench';
  import { heatTool, torchTool } from '#core/craft';
  import type { ToldStep } from '#core/document';
  import { shared } from '$lib/store/shared.svelte';

  /** How the tool of a pass is held over the film: its distance and its angle as a small drawing, its setting and its nozzle. */
  interface Props {
    at: Bench | undefined;
    step: ToldStep;
  }
  let { at, step }: Props = $props();

  const way = $derived(step.wave?.heat ?? 'hot air');
  const usual = $derived(step.id.does === 'flick' ? torchTool : heatTool(way));
  // a pass that was rehearsed has its own distance and angle
  const tool = $derived(at ? heatPlan(at, step, 0).tool : usual);
  const orders: Partial<Record<typeof way, string>> = {
    'torch then air': 'Torch first, then air.',
    'air then torch': 'Air first, the torch last.',
  };
  const radians = $derived((tool.angle * Math.PI) / 180);
</script>

<figure class="flex items-end gap-4" aria-label="How the tool is held">
  <svg viewBox="0 0 220 120" role="img" aria-label="{tool.name}, {shared.write.length(tool.distance)} off, {tool.angle}° to the board">
    <path d="M10 100H210" class="stroke-[#7fb7c9]" stroke-width="5" />
    <g transform="translate(150 98)">
      <path
        d="M0 0L{-120 * Math.cos(radians)} {-120 * Math.sin(radians)}"
        class="stroke-[#ff9d5c]"
        stroke-width="2"
        stroke-dasharray="5 4"
      />
      <g transform="rotate({180 + tool.angle}) translate(62 0)">
        <path d="M0 -6L22 -11H66V11H22L0 6Z" class="fill-nightline stroke-nighttext" stroke-width="1.5" />
      </g>
      <path d="M-44 0A44 44 0 0 1 {-44 * Math.cos(radians)} {-44 * Math.sin(radians)}" class="fill-none stroke-nightsoft" />
    </g>
    <text x="170" y="86" text-anchor="middle" class="fill-nighttext text-[15px]">{tool.angle}°</text>
    <text x="10" y="118" class="fill-nighttext text-[15px]">{shared.write.length(tool.distance)} off the film</text>
  </svg>
  <figcaption class="text-[16px] text-nightsoft">
    {tool.name}, {tool.setting}, {tool.nozzle}. {orders[way] ?? ''}
  </figcaption>
</figure>
