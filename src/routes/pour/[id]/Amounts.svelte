<script lang="ts">
  import type { Amount } from '#core/pour';

  /** What a step uses, by name and large: how much, what one board gets of it, and what is in the cup. */
  let { amounts }: { amounts: Amount[] } = $props();
</script>

{#if amounts.length}
  <ul class="flex flex-wrap gap-x-10 gap-y-2" aria-label="Amounts">
    {#each amounts as a, i (i)}
      <li class="flex items-start gap-3">
        {#if a.colour}<span
            class="mt-2 h-9 w-8 shrink-0 rounded-b-[8px] border border-nightline"
            style:background-color={a.colour}
            aria-hidden="true"
          ></span>{/if}
        <span>
          <span class="flex flex-wrap items-baseline gap-x-3">
            <b class="text-[34px] leading-tight sm:text-[40px]">{a.amount}</b><span class="text-[20px]">{a.name}</span>
          </span>
          {#if a.each}<span class="block text-[20px]">{a.each}</span>{/if}
          {#if a.holds}<span class="block text-[16px] text-nightsoft">{a.holds}</span>{/if}
        </span>
      </li>
    {/each}
  </ul>
{/if}
