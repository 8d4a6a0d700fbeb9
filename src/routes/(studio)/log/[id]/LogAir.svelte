<script lang="ts">
  import type { Session } from '#core/record';
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from '$lib/ui/airs.svelte';
  import { clockTime, minutes } from '$lib/ui/clock.svelte';

  /** The air a pour was laid and cured in, as it was read where it was, and the beads that were measured. */
  let { session }: { session: Session } = $props();
  const [MINUTE, DAY] = [60_000, 86_400_000];
  const climate = $derived(airs.current?.of(session.pour.planned.room));
  const started = $derived(session.started);
  const ended = $derived(Math.max(session.done ?? started, started + 30 * MINUTE));
  const T = (celsius: number): string => shared.write.temperature(celsius);
  const poured = $derived(climate?.spread(started, ended));
  /** The day after it, as far as it has come; from some hours on there is something to say of it. */
  const SOME = 3 * 60 * MINUTE;
  const later = $derived(Math.min(minutes.now, ended + DAY));
  const cured = $derived(later - ended > SOME ? climate?.spread(ended, later) : undefined);
  const source = (from: number, until: number): string =>
    climate && climate.known(from, until) > 0.5 ? 'as it was read' : 'as the room usually is';
  const method = $derived(session.pour.planned.method);
  const beads = $derived(session.events.flatMap((e) => (e.kind === 'bead check' ? [e] : [])));
</script>

{#if poured}
  <p>
    Air while it was poured, {source(started, ended)}: {T(poured.least)} to {T(poured.most)}.
    {#if cured}{later < ended + DAY ? 'Since then' : 'Over the day after it'}, {source(ended, later)}: {T(cured.least)} at its coldest, {T(
        cured.mean,
      )} in the mean.{/if}
  </p>
{/if}
{#if method.bottlesC !== undefined}<p>The bottles were at {T(method.bottlesC)}.</p>{/if}
{#each beads as bead (bead.seq)}
  <p>
    <span class="text-soft">{clockTime(Date.parse(bead.at))}</span> A bead of {plain(bead.area, 0)} mm² ran {shared.write.length(bead.run)} in
    {plain(bead.seconds, 0)} s down {plain(bead.angle, 0)}° at {T(bead.celsius)}.
  </p>
{/each}
