<script lang="ts">
  import type { PiecePlan } from '#core/plan';
  import Tabs from '$lib/ui/Tabs.svelte';
  import type { Drawing, Tool } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';

  /** What is done to the drawing, one kind of thing at a time. @prop names of the parts of the sea from the shore seaward */
  let { editor, plan, drawing, names }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing; names: string[] } = $props();

  const tools: { value: Tool; label: string }[] = [
    { value: 'line', label: 'Curves' },
    { value: 'sea', label: 'Sea' },
    { value: 'add', label: 'Add' },
    { value: 'dressing', label: 'Dressing' },
    { value: 'areas', label: 'Areas' },
    { value: 'stages', label: 'Stages' },
  ];
</script>

<div class="shrink-0 border-t border-rule">
  <Tabs label="What to draw" bind:value={drawing.tool} options={tools} class="px-3 pt-1" />
  <div class="min-h-17 px-3 py-1.5 text-[13px]">
    <!-- tools are fetched when the chart has been drawn, or when they are first shown -->
    {#if drawing.tool === 'line'}{#await import('./LineTools.svelte') then { default: LineTools }}<LineTools
          {editor}
          {plan}
          {drawing}
          {names}
        />{/await}
    {:else}
      {#if drawing.tool === 'sea'}{#await import('./SeaTools.svelte') then { default: SeaTools }}<SeaTools {editor} {plan} />{/await}
      {:else if drawing.tool === 'add'}{#await import('./AddTools.svelte') then { default: AddTools }}<AddTools
            {editor}
            {plan}
            {drawing}
          />{/await}
      {:else if drawing.tool === 'dressing'}{#await import('./DressingTools.svelte') then { default: DressingTools }}<DressingTools
            {editor}
            {plan}
            {drawing}
          />{/await}
      {:else if drawing.tool === 'stages'}{#await import('./Stages.svelte') then { default: Stages }}<Stages {plan} {drawing} />{/await}
      {:else}{#await import('./Areas.svelte') then { default: Areas }}<Areas {plan} {names} />{/await}{/if}
    {/if}
  </div>
</div>
