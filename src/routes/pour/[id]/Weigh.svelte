<script lang="ts">
  import { RATIO_FLAG, RATIO_STOP, ratioError, rescue } from '#core/mix';
  import type { Batch } from '#core/plan';
  import { fixed, mass, readWithin, writeShare, type Reading } from '#core/units';

  /** What was weighed, for those who type it: the ratio is checked before A and B meet, while a slip can still be put right. */
  interface Props {
    batch: Batch;
    weighed: { aG?: number; bG?: number };
    /** Whether a field has the keyboard, so that letters are not taken as commands. */
    writing: boolean;
  }
  let { batch, weighed = $bindable(), writing = $bindable() }: Props = $props();

  let [a, b] = $state(['', '']);
  const grams = (v: number): string => `${fixed(v, 1)} g`;
  const read = (text: string): Reading | undefined =>
    text.trim() ? readWithin(mass, text, { min: 0.1, max: 100_000 }, 'A weight', grams, 'g') : undefined;
  const [readA, readB] = $derived([read(a), read(b)]);
  const both = $derived(readA?.ok && readB?.ok ? { aG: readA.value, bG: readB.value } : undefined);
  const error = $derived(both && ratioError(both.aG, both.bG, batch.resin));
  const fix = $derived(both && rescue(batch.parts, both.aG, both.bG));

  function keep() {
    weighed = both ?? {};
  }
</script>

<div class="flex flex-wrap items-end gap-4 text-[16px]">
  {#each [{ part: 'A', reading: readA }, { part: 'B', reading: readB }] as { part, reading } (part)}
    <label class="text-nightsoft">
      {part} weighed
      <input
        class="mt-1 block min-h-16 w-36 rounded-[5px] border border-nightline bg-night px-3 text-[20px] text-nighttext"
        placeholder={part === 'A' ? grams(batch.parts.aG) : grams(batch.parts.bG)}
        inputmode="decimal"
        value={part === 'A' ? a : b}
        oninput={(e) => {
          if (part === 'A') a = e.currentTarget.value;
          else b = e.currentTarget.value;
          keep();
        }}
        onfocus={() => (writing = true)}
        onblur={() => (writing = false)}
        aria-invalid={reading && !reading.ok ? 'true' : undefined}
      />
      {#if reading && !reading.ok}<span class="block max-w-64 text-[#f0a08a]" role="alert">{reading.says}</span>{/if}
    </label>
  {/each}
  <p class="max-w-sm pb-2" role="status">
    {#if error === undefined || !fix}
      <span class="text-nightsoft">Type what the scale shows, or leave it.</span>
    {:else if Math.abs(error) >= RATIO_FLAG}
      <b>{Math.abs(error) >= RATIO_STOP ? 'Stop.' : 'Off.'}</b>
      {writeShare(Math.abs(error))} too {error > 0 ? 'much' : 'little'} hardener. Add {fix.addA > fix.addB
        ? `${grams(fix.addA)} of A`
        : `${grams(fix.addB)} of B`}; the batch becomes {grams(fix.total)}.
    {:else}
      The ratio is right to {writeShare(Math.abs(error))}.
    {/if}
  </p>
</div>
