<script lang="ts">
  import type { Snippet } from 'svelte';
  import { papers, type Paper } from '#core/formats';
  import { shared } from '$lib/store/shared.svelte';

  /** Above what is printed: its name, the paper, the way back, and Print. */
  let {
    title,
    paper = $bindable(),
    back,
    children,
  }: { title: string; paper: Paper | undefined; back: { href: string; on: string }; children?: Snippet } = $props();
  const chosen = $derived(paper ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
</script>

<div class="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
  <h1 class="text-[28px] leading-tight">{title}</h1>
  <label class="flex items-center gap-2 text-[13px] text-soft"
    >paper
    <select
      class="rounded-sheet border border-line bg-paper px-1 py-0.5 text-ink"
      value={chosen}
      onchange={(e) => (paper = e.currentTarget.value as Paper)}
      >{#each Object.keys(papers) as name (name)}<option>{name}</option>{/each}</select
    ></label
  >
  {@render children?.()}
  <div class="ml-auto flex flex-wrap gap-2">
    <a class="button" href={back.href}>{back.on}</a>
    <button type="button" class="button button-main" onclick={() => window.print()}>Print</button>
  </div>
</div>
