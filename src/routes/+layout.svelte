<script lang="ts">
  import '../app.css';
  import { onMount, type Snippet } from 'svelte';
  import { benchClock } from '$lib/store/clock';
  import { isStarted } from '$lib/store/studio';
  import { checkStored } from '$lib/ui/check';
  import Guard from '$lib/ui/Guard.svelte';
  import { said } from '$lib/ui/said.svelte';
  import { failureSays } from '$lib/store/failure';

  let { children }: { children: Snippet } = $props();
  let ready = $state(false);
  let failed = $state<string>();
  let slow = $state(false);

  /** How long the database may take to open before it is said what may hold it, ms. */
  const SLOW = 10_000;

  onMount(async () => {
    const timer = setTimeout(() => (slow = true), SLOW);
    try {
      if (!(await isStarted())) await (await import('$lib/store/transfer')).firstStart();
      ready = true;
      // fetched while there is time, so that a failure can be told even when the server is gone
      setTimeout(() => void said.ready(), 3000);
      clearTimeout(timer);
      // a newer build that was fetched in the background is begun with, unless a pour is under way
      if ('serviceWorker' in navigator) await (await import('$lib/ui/newer.svelte')).newer.begin();
      await checkStored();
    } catch (error) {
      console.error(error);
      if (!ready) failed = failureSays(error);
    }
    clearTimeout(timer);
  });

  /** What is typed in a field and not stored yet goes to the disk when the page is left or put away. */
  function flush() {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  }
  function turned() {
    benchClock.turn();
    if (document.visibilityState === 'hidden') flush();
  }
</script>

<svelte:document onvisibilitychange={turned} />
<svelte:window onpagehide={flush} />

{#if ready}
  <Guard what="This screen">
    {@render children()}
    {#snippet more()}<a class="button" href="/settings">To the settings</a>{/snippet}
  </Guard>
{:else if failed}
  {#await import('$lib/ui/Rescue.svelte') then { default: Rescue }}<Rescue why={failed} />{/await}
{:else if slow}
  <main class="mx-auto max-w-xl p-8" aria-busy="true">
    <h1 class="text-[28px]">Nerite still waits for the browser</h1>
    <p class="mt-2">
      Its stored studio has not opened for ten seconds. Another window of Nerite, perhaps of an older version, may hold it: close all others
      and wait. If that does not help, close the browser and open it again. Nothing stored is touched by waiting.
    </p>
  </main>
{:else}
  <main class="p-8 text-soft" aria-busy="true">Opening the studio.</main>
{/if}
{#if said.Toaster}<said.Toaster
    position="top-center"
    closeButton
    theme={document.documentElement.dataset['theme'] === 'dark' ? 'dark' : 'light'}
  />{/if}
