<script lang="ts">
  import { DAMP, dewPoint, type Climate } from '#core/air';
  import { rate, type Airs } from '#core/cure';
  import type { Room } from '#core/document';
  import { plain, writeDuration } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';

  /** What this air does to a film of each resin that is laid now, and how damp the night gets. */
  let { room, airs, climate, now }: { room: Room; airs: Airs; climate: Climate; now: number } = $props();
  const [MINUTE, HOUR] = [60_000, 3_600_000];
  const ea = $derived(shared.method?.activationEa ?? 0);
  const rows = $derived(
    (shared.resins ?? []).map((resin) => {
      const line = airs.line(room, resin.refC, ea);
      const hardens = airs.line(room, resin.refC, ea, resin.lowestC);
      return {
        resin,
        recoat: line.momentOf(resin.recoatFromH * 60, now),
        bond: line.momentOf(resin.bondUntilH * 60, now),
        full: hardens.momentOf(resin.fullCureH * 60, now),
        fast: rate(climate.at(now), resin.refC, ea),
      };
    }),
  );
  const ahead = $derived(climate.spread(now, now + 24 * HOUR));
  const coldest = $derived.by(() => {
    const hours = Array.from({ length: 25 }, (_, i) => Math.ceil(now / HOUR + i) * HOUR);
    return hours.reduce((a, b) => (climate.at(b) < climate.at(a) ? b : a));
  });
  const damp = $derived(climate.humidity(coldest));
  const dew = $derived(damp === undefined ? undefined : dewPoint(climate.at(coldest), damp));
  const isDamp = $derived(damp !== undefined && dew !== undefined && (damp > DAMP.warn || climate.at(coldest) - dew < DAMP.near));
  const T = (celsius: number): string => shared.write.temperature(celsius);
  const moment = (ms: number): string => (Number.isFinite(ms) ? dayAndTime(ms) : 'never so cold');
</script>

<div class="flex flex-col gap-2 p-3">
  <p class="text-[15px]">
    The next day here is {T(ahead.least)} to {T(ahead.most)}, coldest {dayAndTime(coldest)}.
    {#if damp !== undefined && dew !== undefined}
      <span class={isDamp ? 'text-warn' : ''}
        >By then it is {plain(100 * damp, 0)} % damp, and dew forms at {T(dew)}: {isDamp
          ? 'a film that is still tacky hazes.'
          : 'dry enough for a film.'}</span
      >
    {:else}<span class="text-soft">Say how damp it is, and the nights are watched too.</span>{/if}
  </p>
  <table class="stacked w-full text-right text-[13px] [&_td]:px-2 [&_td]:py-0.5 [&_th]:px-2 [&_th]:py-0.5 [&_th]:font-normal">
    <thead class="text-soft"
      ><tr
        ><th scope="col" class="text-left">a film laid now of</th><th scope="col">can be worked</th><th scope="col">takes the next coat</th
        ><th scope="col">without a scuff until</th><th scope="col">fully hard</th></tr
      ></thead
    >
    <tbody>
      {#each rows as row (row.resin.id)}
        <tr class="border-t border-rule"
          ><th scope="row" class="text-left">{row.resin.name}</th><td class="wide" data-head="can be worked"
            >{row.fast >= 1 ? `${plain(row.fast, 1)} times shorter` : `${plain(1 / row.fast, 1)} times longer`} than its sheet says</td
          ><td data-head="takes the next coat">{moment(row.recoat)}</td><td data-head="without a scuff until">{moment(row.bond)}</td><td
            data-head="fully hard">{moment(row.full)}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  {#if climate.known(now - 24 * HOUR, now) < 0.9}
    <p class="text-[13px] text-soft">
      Of the last day {climate.known(now - 24 * HOUR, now) < 0.05
        ? 'nothing'
        : writeDuration((24 * HOUR * climate.known(now - 24 * HOUR, now)) / MINUTE)}
      was read; the rest counts as it usually is.
    </p>
  {/if}
</div>
