<script lang="ts">
  import { page } from '$app/state';
  import { onMount, type Snippet } from 'svelte';
  import Guard from '$lib/ui/Guard.svelte';

  let { children }: { children: Snippet } = $props();

  /** Screens by their names, which are their addresses too. */
  const places = ['Today', 'Pieces', 'Tints', 'Mix', 'Rehearse', 'Calendar', 'Log', 'Shelf', 'Settings'];

  /** Fetched when the screen has been drawn. */
  let beside = $state.raw<typeof import('$lib/ui/beside')>();
  onMount(async () => (beside = await import('$lib/ui/beside')));
</script>

<div class="flex h-dvh flex-col print:block print:h-auto">
  <header class="flex shrink-0 items-center gap-x-6 border-b border-line px-4 py-2 max-sm:flex-wrap print:hidden">
    <a href="/today" class="flex items-center gap-2 font-serif text-[21px] font-semibold">
      <svg viewBox="0 0 24 16" class="h-4 w-6" aria-hidden="true"
        ><g fill="none" class="stroke-ink" stroke-width="2.4"
          ><path d="M2 15a10 10 0 0 1 20 0" /><path d="M6.500 15a5.500 5.500 0 0 1 11 0" /><path d="M10.500 15a1.500 1.500 0 0 1 3 0" /></g
        ></svg
      >
      Nerite
    </a>
    <nav aria-label="Screens" class="flex gap-4 max-sm:order-last max-sm:w-full max-sm:justify-between max-sm:gap-1 max-sm:text-[12px]">
      {#each places as name (name)}
        {@const href = `/${name.toLowerCase()}`}
        {@const here = page.url.pathname.startsWith(href)}
        <a
          {href}
          aria-current={here ? 'page' : undefined}
          class="border-b-2 py-1 {here ? 'border-buoy font-bold' : 'border-transparent text-soft hover:text-ink'}">{name}</a
        >
      {/each}
    </nav>
    <Guard what="The room"
      >{#if beside}<beside.AirNow />{/if}</Guard
    >
  </header>
  <Guard what="Notices"
    >{#if beside}<beside.Notices /><beside.AsideLine />{/if}</Guard
  >
  <div class="relative min-h-0 grow overflow-y-auto print:overflow-visible">
    <Guard what="This screen" {children}>{#snippet more()}<a class="button" href="/settings">To the settings</a>{/snippet}</Guard>
  </div>
  <!-- its room is kept, so that nothing moves when it comes; the calendar has the days itself -->
  {#if page.url.pathname !== '/calendar'}
    <div class="min-h-11 shrink-0 sm:min-h-27 print:hidden">
      <Guard what="The tide line"
        >{#if beside}<beside.TideLine />{/if}</Guard
      >
    </div>
  {/if}
</div>
