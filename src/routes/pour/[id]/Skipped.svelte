<script lang="ts">
  import { writeDuration } from '#core/units';
  import { benchClock } from '$lib/store/clock';

  /** The clock of this device went on at once: whether it slept, only the artist knows. @prop by ms */
  let { by }: { by: number } = $props();
</script>

<div role="alert" class="border-l-3 border-[#d9a441] pl-3 text-[17px]">
  <p>The clock of this device went on by {writeDuration(by / 60_000)} at once. If it slept meanwhile, that time counts.</p>
  <div class="mt-2 flex flex-wrap gap-3">
    <button type="button" class="button-bench" onclick={() => benchClock.settle(true)}>It slept: count it</button>
    <button type="button" class="button-bench" onclick={() => benchClock.settle(false)}>The clock was set</button>
  </div>
</div>
