<script lang="ts">
  import type { Climate } from '#core/air';
  import { limits, type Room } from '#core/document';
  import type { AirFile } from '#core/formats';
  import { plain, type Reading } from '#core/units';
  import { addReadings, removeReadings } from '$lib/store/air';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import Field from '$lib/ui/Field.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import { said } from '$lib/ui/said.svelte';
  import { savedAs } from '$lib/ui/saved';
  import { thermometer } from '$lib/ui/thermometer.svelte';
  import { readAirFile } from '$lib/work/air';
  import { zone } from '$lib/zone';
  import Thermometer from './Thermometer.svelte';

  /** Readings of a room: one typed, a logger's file, or a thermometer that is read by itself. */
  let { room, climate, now }: { room: Room; climate: Climate; now: number } = $props();

  let text = $state('');
  let insist = $state(false);
  const read = (typed: string): Reading => reads.current.temperature(typed, limits.reading, 'A reading');
  async function keep(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    const reading = read(text);
    if (!reading.ok) return;
    if (!(await attempt(() => addReadings(room.id, [{ ms: Date.now(), celsius: reading.value }], 'Keep a reading')))) return;
    text = '';
    insist = false;
  }

  let busy = $state(false);
  let file = $state.raw<{ name: string; read: AirFile }>();
  let says = $state('');
  async function choose(chosen: File) {
    [busy, says, file] = [true, '', undefined];
    await attempt(async () => {
      const answer = await readAirFile(await chosen.text(), zone.name, shared.settings?.length === 'in').done;
      if (answer?.ok) file = { name: chosen.name, read: answer.file };
      else if (answer) says = answer.says;
    });
    busy = false;
  }
  async function bring() {
    if (!file) return;
    const { name, read: found } = file;
    if (!(await attempt(() => addReadings(room.id, found.readings, `Bring in ${name}`)))) return;
    file = undefined;
    void said.done(`${found.readings.length} readings came in from ${name}.`);
  }
  const save = () =>
    attempt(async () => {
      const { writeAirCsv } = await import('#core/formats');
      savedAs('air.csv', 'text/csv', writeAirCsv(climate.readings(-Infinity, Infinity)));
    });
  const last = $derived(climate.last(now));
  const count = $derived(climate.readings(-Infinity, Infinity).length);
</script>

<div class="flex flex-col gap-3 p-3">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <form class="flex items-end gap-2" onsubmit={keep} novalidate>
      <div class="w-36"><Field small label="It is now, read here" bind:text {read} {insist} /></div>
      <button type="submit" class="button">Keep it</button>
    </form>
    <FileButton label="Bring in a logger’s CSV" {busy} accept=".csv,.txt,text/csv" onfile={choose} />
    <button type="button" class="button" onclick={save} disabled={!count}>Readings as CSV</button>
    <button type="button" class="button" onclick={() => attempt(() => removeReadings(room.id))} disabled={!count}>Take them off</button>
  </div>
  <p class="text-[13px] text-soft">
    {count ? `${plain(count, 0)} readings are kept` : 'Nothing was read here yet'}{last
      ? `, the last ${shared.write.temperature(last.celsius)} on ${dayAndTime(last.ms)}`
      : ''}.
  </p>
  {#if says}<p class="text-buoy" role="alert">{says}</p>{/if}
  {#if file}
    {@const found = file.read}
    <div class="border-l-3 border-open pl-3" role="status">
      <p>
        <b>{file.name}</b>: {plain(found.lines, 0)} lines in {found.unit}, {dayAndTime(found.readings[0]!.ms)} to {dayAndTime(
          found.readings.at(-1)!.ms,
        )}, kept as {plain(found.readings.length, 0)} readings, one an hour at most.
      </p>
      {#each found.skipped as line (line)}<p class="text-[13px] text-warn">{line}</p>{/each}
      {#if found.gaps.length}<p class="text-[13px] text-soft">
          {found.gaps.length === 1 ? 'One gap' : `${found.gaps.length} gaps`} of more than six hours; there the room counts as it usually is.
        </p>{/if}
      <div class="mt-2 flex gap-2">
        <button type="button" class="button button-main" onclick={bring}>Bring them in</button>
        <button type="button" class="button" onclick={() => (file = undefined)}>Leave them</button>
      </div>
    </div>
  {/if}
  <Thermometer {thermometer} startC={climate.at(now)} />
</div>
