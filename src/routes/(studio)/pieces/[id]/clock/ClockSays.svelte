<script lang="ts">
  import type { BatchClock } from '#core/plan';
  import { writeRange } from '#core/pour';
  import { plain, writeDuration, writeSpan } from '#core/units';

  /** The clock of a batch in words: the meaning for the hand first, and how sure it is. */
  let { clock, narrow }: { clock: BatchClock; narrow: { name: string; measure: string } | undefined } = $props();
  const w = $derived(clock.windows);
  const sure = $derived(clock.likely);
</script>

<div class="text-[15px]">
  <p>
    {#if w.white && w.whiteBest && w.white.until > w.white.from}
      White is ready from <strong data-testid="white-from">{plain(w.white.from, 0)} min</strong>{writeRange(sure.whiteFrom)}, crispest at
      <strong>{writeSpan(w.whiteBest.from, w.whiteBest.until)}</strong>, too stiff after {plain(w.white.until, 0)} min{writeRange(
        sure.whiteUntil,
      )}.
    {:else if w.white}
      There is no window for white here: it is past working before it is stirred.
    {/if}
    Pour within <strong data-testid="heat-until">{plain(w.heatUntil, 0)} min</strong>{writeRange(sure.heatUntil)}.
  </p>
  <p class="text-[13px] text-soft">
    Next coat from {writeDuration(w.nextCoat.from)}{writeRange(sure.recoatFrom)}, without a scuff until {writeDuration(w.nextCoat.until)};
    fully hard {Number.isFinite(w.fullCure) ? `at ${writeDuration(w.fullCure)}${writeRange(sure.fullCure)}` : 'never at this temperature'}.
    In brackets: where it lies four times in five.
    {#if narrow}Most of that is {narrow.name}. <b class="text-ink">{narrow.measure}</b>{/if}
  </p>
</div>
