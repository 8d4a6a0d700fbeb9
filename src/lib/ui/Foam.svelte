<script lang="ts">
  import type { Snippet } from 'svelte';
  import { rehearsalOf } from '#core/coat';
  import type { WaveCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { likenessOf } from './likenesses.svelte';

  /** The foam of a wave as it was rehearsed, or as an ordinary pass leaves it: thick white, seen as far as its picture says. */
  interface Props {
    plan: PiecePlan;
    wave: WaveCoat;
    /** Until there is a picture. */
    flat: Snippet;
    /** White over the whole board, so thick that it hides what is below. */
    white: Snippet;
  }
  let { plan, wave, flat, white }: Props = $props();

  const id = $props.id();
  const likeness = likenessOf(
    () => plan,
    () => wave,
  );
  const found = $derived(likeness());
</script>

{#if found}
  {@const [w, h] = [found.nx * found.dx, found.ny * found.dx]}
  <mask id="{id}-seen" maskUnits="userSpaceOnUse" x="0" y="0" width={w} height={h}>
    <image href={found.href} width={w} height={h} preserveAspectRatio="none" />
  </mask>
  <g mask="url(#{id}-seen)" data-foam={rehearsalOf(plan.piece, wave) ? 'rehearsed' : 'ordinary'}>{@render white()}</g>
{:else}{@render flat()}{/if}
