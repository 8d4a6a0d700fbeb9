<script lang="ts">
  import { limits } from '#core/document';
  import { plain, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Field from '$lib/ui/Field.svelte';
  import type { thermometer as own } from '$lib/ui/thermometer.svelte';

  /** The thermometer that ships with the app, and the room round it: where a real one hangs, its readings come the same way. */
  let { thermometer, startC }: { thermometer: typeof own; startC: number } = $props();
  const live = $derived(thermometer.live);
  let warm = $derived(shared.write.temperature(27));
  const read = (text: string): Reading => reads.current.temperature(text, limits.reading, 'A room');
  async function set(event: SubmitEvent) {
    event.preventDefault();
    const reading = read(warm);
    if (reading.ok) await attempt(() => live.move({ does: 'warm', celsius: reading.value }));
  }
  let stopped = $state(false);
  async function stop() {
    if (await attempt(() => live.move({ does: stopped ? 'go on' : 'stop' }))) stopped = !stopped;
  }
  function begin() {
    stopped = false;
    thermometer.connect(Math.round(10 * startC) / 10);
  }
</script>

<div class="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule pt-3">
  {#if live.connected}
    <p class="grow self-center" role="status">
      {#if live.reading}
        The {live.name} shows <strong>{shared.write.temperature(live.reading.celsius)}</strong>, {plain(100 * live.reading.humidity, 0)} %. Pieces
        are planned at it.
      {:else}<span class="text-warn">{live.lost || 'Waiting for its first reading.'}</span>{/if}
    </p>
    <form class="flex items-end gap-2" onsubmit={set} novalidate>
      <div class="w-32"><Field small label="Warm its room to" bind:text={warm} {read} /></div>
      <button type="submit" class="button">Warm it</button>
    </form>
    <button type="button" class="button" onclick={stop}>{stopped ? 'Let it go on' : 'Let it stop'}</button>
    <button type="button" class="button" onclick={() => thermometer.end()}>Take it off</button>
  {:else}
    <p class="grow self-center text-[13px] text-soft">A thermometer can be read by itself. A simulated one ships with the app.</p>
    <button type="button" class="button" onclick={begin}>Read the thermometer</button>
  {/if}
</div>
