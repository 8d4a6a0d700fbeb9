<script lang="ts">
  import { page } from '$app/state';
  import type { Snippet } from 'svelte';
  import BackupDue from '$lib/ui/BackupDue.svelte';

  /** The head of every screen of the log: what it is, the others, undo, and what is its own. */
  let { title = 'Log', children }: { title?: string; children?: Snippet } = $props();
  const places = [
    { href: '/log', name: 'Pours' },
    { href: '/log/pieces', name: 'Pieces' },
    { href: '/log/photos', name: 'Photos' },
    { href: '/log/compare', name: 'Compare' },
    { href: '/log/learn', name: 'What it teaches' },
  ];
</script>

<div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 print:hidden">
  <h1 class="text-[28px]">{title}</h1>
  <nav aria-label="Parts of the log" class="flex flex-wrap gap-x-4">
    {#each places as { href, name } (href)}
      {@const here = page.url.pathname === href}
      <a
        {href}
        aria-current={here ? 'page' : undefined}
        class="border-b-2 text-[14px] {here ? 'border-buoy font-bold' : 'border-transparent text-soft hover:text-ink'}">{name}</a
      >
    {/each}
  </nav>
  <div class="ml-auto flex flex-wrap items-baseline gap-2">
    {@render children?.()}
    <!-- what edits is fetched beside: of other screens it is not to be part -->
    {#await Promise.all([import('$lib/ui/UndoRedo.svelte'), import('$lib/store/edits')]) then [{ default: UndoRedo }, { LOG }]}<UndoRedo
        scope={LOG}
      />{/await}
  </div>
</div>
<BackupDue />
