<script lang="ts">
  import type { Wet } from '#core/plan';
  import { plain, readWithin, tilt as tilts, writeDuration, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import Field from '$lib/ui/Field.svelte';

  /** Tilting as a tool: at which angle for how many seconds a film travels so far, and back again. */
  let { wet, seconds }: { wet: Wet; seconds: (travel: number, angle: number) => { there: number; back: number } } = $props();

  let far = $derived(shared.write.length(20));
  let angle = $state('5°');
  const readFar = (text: string): Reading => reads.current.length(text, { min: 1, max: 500 }, 'A way');
  const readAngle = (text: string): Reading => readWithin(tilts, text, { min: 0.2, max: 45 }, 'An angle', (v) => `${plain(v, 1)}°`, '°');
  const [way, steep] = $derived([readFar(far), readAngle(angle)]);
  const time = $derived(way.ok && steep.ok ? seconds(way.value, steep.value) : undefined);
  const says = (s: number): string => (s < 120 ? `${plain(Math.max(1, s), 0)} s` : writeDuration(s / 60));
</script>

<div class="flex flex-col gap-2 p-3">
  <div class="grid grid-cols-2 gap-3">
    <Field small label="To move it by" bind:text={far} read={readFar} />
    <Field small label="tilt it" bind:text={angle} read={readAngle} />
  </div>
  {#if time}
    <p class="text-[15px]" role="status">
      {#if Number.isFinite(time.there)}Hold it for <strong data-testid="tilt-there">{says(time.there)}</strong>{Number.isFinite(time.back)
          ? `, and ${says(time.back)} the other way to bring it back`
          : '; it sets before it could be brought back'}.
      {:else}So little tilt does not move it that far before it sets.{/if}
      <span class="text-[13px] text-soft"
        >{plain(wet.laidMin, 0)} min after mixing, on {shared.write.fine(wet.film)} of film. It goes on creeping a little once level.</span
      >
    </p>
  {/if}
</div>
