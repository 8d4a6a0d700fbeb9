<script lang="ts">
  /** What an address leads to when what it names is gone: says so, and the way on. */
  let { says, why, href, on }: { says: string; why?: string; href: string; on: string } = $props();
</script>

<div class="sheet p-8">
  <h1 class="text-[22px]">{says}</h1>
  {#if why}<p class="mt-2 text-soft">{why}</p>{/if}
  <a class="button mt-4" {href}>{on}</a>
</div>
