<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { asideWords } from './aside';

  /** That something stored could not be read, and where it is to be seen. */
</script>

{#if shared.aside?.length}
  <p class="shrink-0 border-b border-line bg-warnground px-4 py-1 text-[13px] print:hidden">
    {shared.aside.length === 1 ? `1 ${asideWords(shared.aside[0]!)}` : `${shared.aside.length} things`} could not be read and
    {shared.aside.length === 1 ? 'was' : 'were'} put aside. <a class="underline" href="/settings">See in Settings</a>
  </p>
{/if}
