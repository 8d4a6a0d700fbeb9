<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Content that scrolls by itself, within reach of the keyboard. */
  let { label, class: extra = '', children }: { label: string; class?: string; children: Snippet } = $props();
</script>

<!-- what scrolls must be reached without a mouse -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-auto {extra}" role="group" aria-label={label} tabindex="0">{@render children()}</div>
