<script lang="ts">
  import { onMount } from 'svelte';
  import { newer } from '$lib/ui/newer.svelte';

  /** Whether Nerite is kept on this device and opens without its server, how it is installed, and whether a newer one waits. */
  let kept = $state<boolean>();
  const standalone = matchMedia('(display-mode: standalone)').matches;
  onMount(async () => {
    kept = Boolean((await navigator.serviceWorker?.getRegistration())?.active);
    if (kept) await newer.look();
  });
</script>

<div class="flex flex-col gap-2">
  <p>
    {#if kept}Nerite is kept on this device: it opens and pours with its server gone and the network off.
    {:else if kept === false}This browser keeps no copy of Nerite: it needs its server to open.
    {/if}
    {standalone ? 'It runs as an app of its own.' : 'To have it as an app of its own, choose “Install” in the browser’s menu.'}
  </p>
  {#if newer.ready}
    <p>
      A newer Nerite was fetched. <button type="button" class="button" onclick={() => newer.take('/settings')}>Use it now</button>
    </p>
  {:else if newer.waits}
    <p>A newer Nerite was fetched. It is used once no pour is under way.</p>
  {/if}
</div>
