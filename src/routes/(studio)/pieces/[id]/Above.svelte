<script lang="ts">
  import type { Batch, PiecePlan } from '#core/plan';
  import { shared } from '$lib/store/shared.svelte';
  import { AtLeisure } from '$lib/ui/leisure.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import type { Drawing } from './drawing.svelte';

  /** The same pour seen from its side, and on the clock. */
  interface Props {
    plan: PiecePlan;
    drawing: Drawing;
    batch: Batch | undefined;
    /** Which pour of the plan it belongs to. */
    pour: number | undefined;
    selected: string;
    onselect: (coatId: string, part: number) => void;
  }
  let { plan, drawing, batch, pour, selected, onselect }: Props = $props();

  const seen = new AtLeisure(() => plan);

  let view = $state<'section' | 'clock'>('section');
  let section = $state<{ says: () => string }>();
  const views = [
    { value: 'section', label: 'Section A–B' },
    { value: 'clock', label: 'The batch on the clock' },
  ] as const;
</script>

<Sheet title={view === 'section' ? 'Section A–B' : 'The batch on the clock'} class="h-full">
  {#snippet heading()}<Tabs label="The pour from its side or on the clock" bind:value={view} options={views} />{/snippet}
  {#snippet aside()}
    <p class="truncate text-[13px] text-soft">
      {#if view === 'section'}
        {section?.says()}
      {:else if batch}{batch.resin.name} at {shared.write.temperature(plan.means.air(0))}{/if}
    </p>
  {/snippet}
  <!-- both are fetched when the chart and the cups have been drawn -->
  {#if view === 'section'}{#await import('./Section.svelte') then { default: Section }}<Section
        bind:this={section}
        plan={seen.current}
        {drawing}
        {selected}
        {onselect}
      />{/await}
  {:else if batch && pour !== undefined}{#await import('./BatchClock.svelte') then { default: BatchClock }}<BatchClock
        {plan}
        {pour}
        {batch}
      />{/await}
  {:else}<p class="p-3 text-soft">No coats yet, so no clock.</p>{/if}
</Sheet>
