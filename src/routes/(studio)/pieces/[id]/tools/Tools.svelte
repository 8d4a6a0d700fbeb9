<script lang="ts">
  import type { PiecePlan } from '#core/plan';
  import Tabs from '$lib/ui/Tabs.svelte';
  import type { Drawing, Tool } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';
  import AddTools from './AddTools.svelte';
  import Areas from './Areas.svelte';
  import DressingTools from './DressingTools.svelte';
  import LineTools from './LineTools.svelte';
  import SeaTools from './SeaTools.svelte';

  /** What is done to the drawing, one kind of thing at a time. @prop names of the parts of the sea from the shore seaward */
  let { editor, plan, drawing, names }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing; names: string[] } = $props();

  const tools: { value: Tool; label: string }[] = [
    { value: 'line', label: 'Curves' },
    { value: 'sea', label: 'Sea' },
    { value: 'add', label: 'Add' },
    { value: 'dressing', label: 'Dressing' },
    { value: 'areas', label: 'Areas' },
  ];
</script>

<div class="shrink-0 border-t border-rule">
  <Tabs label="What to draw" bind:value={drawing.tool} options={tools} class="px-3 pt-1" />
  <div class="min-h-17 px-3 py-1.5 text-[13px]">
    {#if drawing.tool === 'line'}<LineTools {editor} {plan} {drawing} {names} />
    {:else if drawing.tool === 'sea'}<SeaTools {editor} {plan} />
    {:else if drawing.tool === 'add'}<AddTools {editor} {plan} {drawing} />
    {:else if drawing.tool === 'dressing'}<DressingTools {editor} {plan} {drawing} />
    {:else}<Areas {plan} {names} />{/if}
  </div>
</div>
