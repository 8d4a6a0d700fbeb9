<script lang="ts">
  import { shortestRun } from '#core/cure';
  import { limits } from '#core/document';
  import type { BeadCheck } from '#core/pour';
  import { bare, fixed, plain, readWithin, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import Field from './Field.svelte';

  /** How far a bead of clear mix ran down a tilted tile: a ruler and a minute say how thick it is today. */
  interface Props {
    /** Minutes since A and B met, where a clock runs. */
    since?: number | undefined;
    /** °C of the tile, where nothing else is typed. */
    celsius: number;
    oncheck: (check: BeadCheck) => void;
  }
  let { since, celsius, oncheck }: Props = $props();

  let ml = $derived(shared.write.volume(2));
  let over = $derived(shared.write.length(100));
  let angle = $state('30');
  let seconds = $state('60');
  let run = $state('');
  let minutes = $state('5');
  let tile = $derived(shared.write.temperature(celsius));
  let insist = $state(false);

  const number =
    (range: { min: number; max: number }, what: string, unit: string) =>
    (text: string): Reading =>
      readWithin(bare, text.replace(/(\d)\s*(°|s|min)\.?$/, '$1'), range, what, (v) => `${plain(v, 0)}${unit}`);
  const readMl = (text: string): Reading => reads.current.volume(text, { min: 0.1, max: 50 }, 'A bead');
  const readOver = (text: string): Reading => reads.current.length(text, { min: 10, max: 1000 }, 'A bead');
  const readAngle = number(limits.beadAngle, 'A tile', '°');
  const readSeconds = number(limits.beadSeconds, 'A time', ' s');
  const readMinutes = number({ min: 0, max: 300 }, 'A time', ' min');
  const readTile = (text: string): Reading => reads.current.temperature(text, limits.room, 'A tile');
  const amount = $derived([readMl(ml), readOver(over)] as const);
  const area = $derived(amount[0].ok && amount[1].ok ? (1000 * amount[0].value) / amount[1].value : undefined);
  const readRun = (text: string): Reading => {
    const reading = reads.current.length(text, limits.beadRun, 'A run');
    const shortest = area === undefined ? 0 : shortestRun({ area, angle: 0, seconds: 0 });
    return reading.ok && reading.value < shortest
      ? {
          ok: false,
          says: `So short a run says nothing: let it go further than ${shared.write.length(shortest)}, or lay a thinner bead.`,
        }
      : reading;
  };

  function check(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    const [a, s, r, m, t] = [readAngle(angle), readSeconds(seconds), readRun(run), readMinutes(minutes), readTile(tile)];
    if (area === undefined || area < limits.bead.min || area > limits.bead.max || !a.ok || !s.ok || !r.ok || !t.ok) return;
    const min = since ?? (m.ok ? m.value : undefined);
    if (min === undefined) return;
    oncheck({ area, angle: a.value, seconds: s.value, run: r.value, celsius: t.value, min });
  }
  const says = $derived(
    area !== undefined && (area < limits.bead.min || area > limits.bead.max)
      ? `That is a bead of ${fixed(area, 1)} mm² across; lay one of ${limits.bead.min} to ${limits.bead.max} mm².`
      : '',
  );
</script>

<form class="flex flex-col gap-2" onsubmit={check} novalidate>
  <p class="text-[13px] text-soft">Draw a line of clear mix across the top of a tile, tilt it, and measure how far it has run.</p>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
    <Field small label="Mix in the line" bind:text={ml} read={readMl} {insist} />
    <Field small label="over a length of" bind:text={over} read={readOver} {insist} />
    <Field small label="Tile tilted, °" bind:text={angle} read={readAngle} {insist} />
    <Field small label="for, s" bind:text={seconds} read={readSeconds} {insist} />
    {#if since === undefined}<Field small label="begun, min after mixing" bind:text={minutes} read={readMinutes} {insist} />{/if}
    <Field small label="Tile is at" bind:text={tile} read={readTile} {insist} />
    <Field small label="It ran" bind:text={run} read={readRun} {insist} />
  </div>
  {#if says}<p class="text-[13px] text-buoy" role="alert">{says}</p>{/if}
  <button type="submit" class="button self-start">Correct the clock by it</button>
</form>
