<script lang="ts">
  import { onMount } from 'svelte';
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from './airs.svelte';
  import { minutes } from './clock.svelte';
  import { thermometer } from './thermometer.svelte';

  /** The air of the studio's room now: as its thermometer reads it, as it was read last, or as it usually is. */
  onMount(() => thermometer.resume());
  const room = $derived(shared.room);
  const live = $derived(thermometer.live);
  const climate = $derived(room && airs.current?.of(room));
  const celsius = $derived(live.reading?.celsius ?? climate?.at(minutes.now));
  const humidity = $derived(live.reading?.humidity ?? climate?.humidity(minutes.now));
  /** A reading counts as now for so long, ms. */
  const FRESH = 3_600_000;
  const source = $derived.by(() => {
    if (live.reading) return 'read now';
    if (live.connected) return 'thermometer silent';
    const last = climate?.last(minutes.now);
    return last && minutes.now - last.ms < FRESH ? 'read' : 'as usual';
  });
</script>

{#if room && celsius !== undefined}
  <a href="/room" class="ml-auto text-[13px] text-soft hover:text-ink" data-testid="air"
    ><span class={live.connected && !live.reading ? 'text-warn' : ''}
      >{shared.write.temperature(celsius)}{humidity === undefined ? '' : `, ${plain(100 * humidity, 0)} %`} {source}</span
    >
    · <span class="underline">{room.name}</span></a
  >
{/if}
