<script lang="ts">
  import { readSafety } from '$lib/store/backup';
  import { Live } from '$lib/store/live.svelte';
  import { dayMonth } from './clock.svelte';

  /** A line where the last backup is old, or none was ever made of what would be missed. */
  const safety = new Live(() => readSafety(Date.now()));
</script>

{#if safety.current?.isOld}
  <p class="bg-warnground px-3 py-1.5 text-[13px] text-warnink print:hidden">
    {safety.current.last === undefined
      ? 'No backup was made of this studio yet.'
      : `The last backup was made on ${dayMonth(safety.current.last)}.`}
    <a class="underline" href="/settings">Make one</a>
  </p>
{/if}
