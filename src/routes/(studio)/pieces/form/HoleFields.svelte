<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import Field from '$lib/ui/Field.svelte';
  import type { Readers, Typed } from './typed';

  /** Holes by their middle, from the upper left corner: kept open and taped, left open, or filled on purpose. */
  let { typed = $bindable(), read, insist }: { typed: Typed; read: Readers; insist: boolean } = $props();
</script>

<div class="flex flex-col gap-2">
  {#each typed.holes as hole, i (i)}
    <div class="grid grid-cols-[1fr_1fr_1fr_1.4fr_auto] items-end gap-2">
      <Field label="Hole {i + 1}, across" bind:text={hole.x} read={read.place} {insist} />
      <Field label="Down" bind:text={hole.y} read={read.place} {insist} />
      <Field label="Diameter" bind:text={hole.diameter} read={read.diameter} {insist} />
      <label class="block text-[13px] font-semibold"
        >Kept<select class="input mt-0.5 font-normal" bind:value={hole.kept}
          ><option value="taped">open, taped</option><option value="open">open</option><option value="filled">filled with resin</option
          ></select
        ></label
      >
      <button type="button" class="button button-quiet" aria-label="Remove hole {i + 1}" onclick={() => typed.holes.splice(i, 1)}
        >Remove</button
      >
    </div>
  {/each}
  <button
    type="button"
    class="button self-start"
    disabled={typed.holes.length >= 40}
    onclick={() =>
      typed.holes.push({ x: '', y: '', diameter: shared.write.length(shared.settings?.length === 'in' ? 7.9375 : 8), kept: 'taped' })}
    >Add a hole</button
  >
</div>
