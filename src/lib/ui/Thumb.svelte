<script lang="ts">
  import type { PiecePlan } from '#core/plan';
  import BoardDrawing from './BoardDrawing.svelte';

  /** A piece drawn small. */
  let { plan, class: extra = '' }: { plan: PiecePlan; class?: string } = $props();
</script>

<svg viewBox="-1 -1 {plan.bounds.width + 2} {plan.bounds.height + 2}" class={extra} role="img" aria-label="Chart of {plan.piece.name}">
  <BoardDrawing {plan} />
</svg>
