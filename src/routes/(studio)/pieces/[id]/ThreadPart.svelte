<script lang="ts">
  import { limits, type Coat, type ThreadCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import LengthField from '$lib/ui/LengthField.svelte';
  import AlongField from './AlongField.svelte';

  /** A thread: along which line it is drawn, how far off it, how wide and how high. */
  interface Props {
    plan: PiecePlan;
    coat: ThreadCoat;
    change: (label: string, to: (old: Coat) => Coat) => Promise<void>;
    set: (label: string, part: Partial<ThreadCoat>) => Promise<void>;
  }
  let { plan, coat, change, set }: Props = $props();
</script>

<AlongField {plan} {coat} {change} />
{#if coat.along === undefined}
  <LengthField
    small
    label="off the shore"
    value={coat.off ?? 0}
    range={limits.reach}
    what="A distance"
    hint="out to sea"
    commit={(off) => set('Move the thread', { off })}
  />
{/if}
<LengthField
  small
  label="wide"
  value={coat.lineWidth}
  range={limits.lineWidth}
  what="A thread"
  commit={(lineWidth) => set('Change the width of the thread', { lineWidth })}
/>
<LengthField
  small
  label="high"
  value={coat.lineHeight}
  range={limits.lineHeight}
  what="A thread"
  commit={(lineHeight) => set('Change the height of the thread', { lineHeight })}
/>
