<script lang="ts">
  import '../app.css';
  import { onMount, type Snippet } from 'svelte';
  import { Toaster } from 'svelte-sonner';
  import { isStarted } from '$lib/store/studio';
  import { failureSays } from '$lib/store/failure';

  let { children }: { children: Snippet } = $props();
  let ready = $state(false);
  let failed = $state<string>();

  onMount(async () => {
    try {
      if (!(await isStarted())) await (await import('$lib/store/transfer')).firstStart();
      ready = true;
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
<Toaster position="top-center" closeButton />
