<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Nothing here · Nerite</title></svelte:head>

<main class="mx-auto max-w-xl p-8">
  <h1 class="text-[28px]">{page.status === 404 ? 'There is no screen at this address' : 'This screen could not be opened'}</h1>
  <p class="mt-2 text-soft">
    {page.status === 404 ? 'It may have been renamed.' : 'Nothing stored is touched by it. Open it again, or go back to the pieces.'}
  </p>
  <a class="button mt-4" href="/pieces">To the pieces</a>
</main>
