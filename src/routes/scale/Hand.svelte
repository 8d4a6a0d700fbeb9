<script lang="ts">
  import type { LiveScale } from '$lib/devices/live-scale.svelte';
  import type { WeighLine } from '#core/pour';

  /** The hand at the simulated scale: pours while a button is held, and lets a little more fall after it. */
  let { scale, line }: { scale: LiveScale; line: WeighLine | undefined } = $props();

  const streams = [
    { name: 'Pour', rate: 12 },
    { name: 'Pour slowly', rate: 3 },
    { name: 'Trickle', rate: 0.6 },
  ];
  const CUP = 6.4;
  const drop = $derived(line?.drops?.each ?? 0.03);
  let pouring = $state('');

  function begin(stream: (typeof streams)[0]) {
    pouring = stream.name;
    void scale.move({ does: 'pour', rate: stream.rate });
  }
  function end() {
    if (!pouring) return;
    pouring = '';
    void scale.move({ does: 'pour', rate: 0 });
  }
</script>

<svelte:window onpointerup={end} onblur={end} />

<section class="flex shrink-0 flex-wrap items-center gap-3 border-t border-nightline bg-[#0d1215] px-4 py-2" aria-label="Simulated scale">
  <p class="max-w-56 text-[14px] text-nightsoft">
    No scale is plugged in: this is the <b class="text-nighttext">{scale.name}</b>. Hold a button to pour onto it.
  </p>
  {#each streams as stream (stream.name)}
    <button
      type="button"
      class="min-h-16 rounded-[5px] border-2 px-4 {pouring === stream.name ? 'border-nighttext' : 'border-nightline'}"
      aria-pressed={pouring === stream.name}
      onpointerdown={(e) => {
        e.preventDefault();
        begin(stream);
      }}
      onkeydown={(e) => {
        if ((e.key === ' ' || e.key === 'Enter') && !e.repeat) {
          e.preventDefault();
          begin(stream);
        }
      }}
      onkeyup={end}>{stream.name}</button
    >
  {/each}
  <button
    type="button"
    class="min-h-16 rounded-[5px] border-2 border-nightline px-4"
    onclick={() => scale.move({ does: 'put', grams: drop })}>One drop</button
  >
  <button
    type="button"
    class="min-h-16 rounded-[5px] border-2 border-nightline px-4"
    onclick={() => scale.move({ does: 'put', grams: CUP })}>Put a cup on</button
  >
  <button
    type="button"
    class="min-h-16 rounded-[5px] border-2 border-nightline px-4"
    onclick={() => scale.move({ does: 'put', grams: -5000 })}>Clear the pan</button
  >
  <button type="button" class="min-h-16 px-4 underline" onclick={() => scale.end()}>Do without it</button>
</section>
