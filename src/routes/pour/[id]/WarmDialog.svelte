<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { limits } from '#core/document';
  import { readWithin, temperature } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import BenchDialog from './BenchDialog.svelte';

  /** How warm it is at the bench now: every clock of the pour goes by it from here on. */
  interface Props {
    open: boolean;
    celsius: number;
    onkeep: (celsius: number) => Promise<unknown>;
  }
  let { open = $bindable(), celsius, onkeep }: Props = $props();

  let text = $state('');
  let asked = $state(false);
  const reading = $derived(
    readWithin(temperature, text, limits.room, 'A bench', (v) => shared.write.temperature(v), shared.write.units.temperature),
  );
  async function keep(event: SubmitEvent) {
    event.preventDefault();
    asked = true;
    if (!reading.ok || !(await onkeep(reading.value))) return;
    open = false;
    text = '';
    asked = false;
  }
</script>

<BenchDialog bind:open title="The bench now" says="Read it where the boards lie. The windows of every batch are worked out again by it.">
  <form onsubmit={keep} novalidate>
    <label class="mt-3 block text-nightsoft"
      >Temperature
      <input
        class="mt-1 block min-h-16 w-full rounded-[5px] border border-nightline bg-night px-3 text-[22px] text-nighttext"
        inputmode="decimal"
        placeholder={shared.write.temperature(celsius)}
        bind:value={text}
        aria-invalid={asked && !reading.ok ? 'true' : undefined}
      /></label
    >
    {#if asked && !reading.ok}<p class="mt-1 text-[#f0a08a]" role="alert">{reading.says}</p>{/if}
    <div class="mt-3 flex justify-end gap-3">
      <Dialog.Close type="button" class="button-bench">Leave it</Dialog.Close>
      <button type="submit" class="button-bench button-bench-main">It is so now</button>
    </div>
  </form>
</BenchDialog>
