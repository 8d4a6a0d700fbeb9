<script lang="ts">
  import type { Snippet } from 'svelte';
  import Guard from './Guard.svelte';

  /** A sheet of the working drawing: a name, what it is about, and its content, which scrolls inside it. */
  let {
    title,
    heading,
    aside,
    children,
    class: extra = '',
  }: {
    title: string;
    /** In the place of the name, where there is more to it. */ heading?: Snippet;
    aside?: string | Snippet;
    children: Snippet;
    class?: string;
  } = $props();
</script>

<section class="sheet flex min-h-0 min-w-0 flex-col {extra}" aria-label={title}>
  <header class="flex shrink-0 items-baseline justify-between gap-3 border-b border-rule px-3 py-1.5">
    {#if heading}{@render heading()}{:else}<h2 class="font-sans text-[14px] font-bold whitespace-nowrap">{title}</h2>{/if}
    {#if typeof aside === 'string'}<p class="truncate text-[13px] text-soft">{aside}</p>{:else}{@render aside?.()}{/if}
  </header>
  <Guard what={title} {children} />
</section>
