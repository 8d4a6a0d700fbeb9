<script lang="ts">
  import type { PiecePlan } from '#core/plan';
  import BoardDrawing from './BoardDrawing.svelte';
  import { whenSeen } from './seen';

  /** A piece drawn small. */
  let { plan, class: extra = '' }: { plan: PiecePlan; class?: string } = $props();
  /** A board that was never scrolled to asks for no foam. */
  let seen = $state(false);
</script>

<svg
  {@attach whenSeen(() => (seen = true))}
  viewBox="-1 -1 {plan.bounds.width + 2} {plan.bounds.height + 2}"
  class={extra}
  role="img"
  aria-label="Chart of {plan.piece.name}"
>
  <BoardDrawing {plan} whole={seen ? plan : null} />
</svg>
