<script lang="ts">
  import { roomAt, type Climate } from '#core/air';
  import { inUnit, temperature } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime, weekday } from '$lib/ui/clock.svelte';
  import LineChart from '$lib/ui/LineChart.svelte';

  /** Two days behind and two ahead: the air as it was read and goes on, and dashed as it usually is. */
  let { climate, now }: { climate: Climate; now: number } = $props();
  const HOUR = 3_600_000;
  const BACK = 48;
  const start = $derived(climate.zone.dayStart(now, -2));
  const hours = $derived(Math.round((climate.zone.dayStart(now, 3) - start) / HOUR));
  const unit = $derived(shared.write.units.temperature);
  const shown = (celsius: number): number => inUnit(temperature, celsius, unit);
  const curve = $derived((at: (ms: number) => number) =>
    Array.from({ length: 2 * hours + 1 }, (_, i) => ({ x: i / 2, y: shown(at(start + (i * HOUR) / 2)) })),
  );
  const air = $derived(curve(climate.at));
  const usual = $derived(curve((ms) => roomAt(climate.room, climate.zone.localMinute(ms))));
  const read = $derived(
    climate.readings(start, start + hours * HOUR).map(({ ms, celsius }) => ({ x: (ms - start) / HOUR, y: shown(celsius) })),
  );
  const all = $derived([...air, ...usual, ...read].map((p) => p.y));
  const [least, most] = $derived([Math.floor(Math.min(...all)) - 1, Math.ceil(Math.max(...all)) + 1]);
  /** Where there is little room only the days are named. */
  let width = $state(0);
  const NARROW = 560;
  const tick = (hour: number): string => {
    const ms = start + hour * HOUR;
    const time = clockTime(ms);
    if (time === '00:00') return width < NARROW ? weekday(ms).split(' ')[0]! : weekday(ms);
    return time === '12:00' && width >= NARROW ? time : '';
  };
</script>

<div class="h-full min-h-0" bind:clientWidth={width}>
  <LineChart
    label="Air of {climate.room.name} over {Math.round(hours / 24)} days, {BACK / 24} of them past"
    lines={[
      { name: 'as it was read, and goes on', points: air, colour: 'ink', bold: true },
      { name: 'as it usually is', points: usual, colour: 'soft', dashed: true },
    ]}
    now={(now - start) / HOUR}
    x={{ min: 0, max: hours, ticks: tick, step: 1 }}
    y={{ min: least, max: most, step: most - least > 14 ? 4 : 2, title: unit }}
  />
</div>
