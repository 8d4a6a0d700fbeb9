<script lang="ts">
  import '../app.css';
  import { onMount, type Snippet } from 'svelte';
  import { isStarted } from '$lib/store/studio';
  import { said } from '$lib/ui/said.svelte';
  import { failureSays } from '$lib/store/failure';

  let { children }: { children: Snippet } = $props();
  let ready = $state(false);
  let failed = $state<string>();

  onMount(async () => {
    try {
      if (!(await isStarted())) await (await import('$lib/store/transfer')).firstStart();
      ready = true;
      // fetched while there is time, so that a failure can be told even when the server is gone
      setTimeout(() => void said.ready(), 3000);
    } catch (error) {
      console.error(error);
      failed = failureSays(error);
    }
  });
</script>

{#if ready}
  {@render children()}
{:else if failed}
  <main class="mx-auto max-w-xl p-8">
    <h1 class="text-[28px]">Nerite could not open the studio</h1>
    <p class="mt-2">{failed}</p>
  </main>
{:else}
  <main class="p-8 text-soft" aria-busy="true">Opening the studio.</main>
{/if}
{#if said.Toaster}<said.Toaster position="top-center" closeButton />{/if}
