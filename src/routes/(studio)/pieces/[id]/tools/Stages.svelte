<script lang="ts">
  import type { PiecePlan } from '#core/plan';
  import type { Drawing } from '../drawing.svelte';

  /** How far the piece has come on the chart and in the section: scrubbed coat by coat, its last pour wet or hard. */
  let { plan, drawing }: { plan: PiecePlan; drawing: Drawing } = $props();

  const all = $derived(plan.piece.coats.length);
  const stage = $derived(drawing.stageOf(plan));
  const name = $derived(
    stage.coats === 0 ? 'bare board' : `after coat ${stage.coats}, ${plan.coats[stage.coats - 1]!.name.split(',')[0]!.toLowerCase()}`,
  );
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
  <label class="flex min-w-0 grow basis-full items-center gap-2"
    ><span class="w-44 shrink-0 truncate" aria-live="polite">{name}</span><input
      type="range"
      class="min-w-0 grow"
      aria-label="Coats laid"
      aria-valuetext={name}
      min="0"
      max={all}
      value={stage.coats}
      oninput={(e) => (drawing.coats = Number(e.currentTarget.value) === all ? undefined : Number(e.currentTarget.value))}
    /></label
  >
  <label class="flex items-center gap-1"><input type="checkbox" bind:checked={drawing.wet} />still wet</label>
  <p class="text-soft">Wet, a wave is whole white; its cells open as it rests. Tints look the same wet or hard.</p>
</div>
