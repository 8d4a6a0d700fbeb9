<script lang="ts">
  import type { ToldBatch } from '#core/document';
  import { plain } from '#core/units';

  /** The clock of one batch: the white's window and the last moves as bands, and where the batch is now. */
  interface Props {
    batch: ToldBatch;
    /** How thick its white is at a minute, Pa·s. */
    thickness: ((min: number) => number) | undefined;
    /** Pa·s past which white is not laid. */
    limit: number;
    since: number | undefined;
    white: boolean;
  }
  let { batch, thickness, limit, since, white }: Props = $props();

  const [HEIGHT, TOP, PAD] = [132, 4, 12];
  let width = $state(0);
  const end = $derived(Math.max(Math.ceil((batch.heatUntil * 1.15) / 10) * 10, Math.ceil(((since ?? 0) + 2) / 10) * 10));
  const x = $derived((min: number): number => PAD + (Math.min(Math.max(min, 0), end) / end) * Math.max(0, width - 2 * PAD));
  /** The white thickening, drawn against the thickness at which it is past pouring. */
  const curve = $derived.by(() => {
    const top = 1.2 * limit;
    const thick = thickness;
    if (!thick) return '';
    const y = (pas: number): number => HEIGHT - (pas / top) * (HEIGHT - TOP - 24);
    return Array.from({ length: 121 }, (_, i) => (end * i) / 120)
      .map((min) => ({ min, pas: thick(min) }))
      .filter(({ pas }) => pas <= top)
      .map(({ min, pas }) => `${x(min)} ${y(pas)}`)
      .join('L');
  });
  const ticks = $derived(Array.from({ length: Math.floor(end / 10) + 1 }, (_, i) => i * 10));
  const bands = $derived([
    ...(white && batch.white
      ? [{ name: 'pour white', from: batch.white.from, until: Math.min(batch.white.until, batch.lastMoves.from), fill: '#1f4d3a' }]
      : []),
    { name: 'last moves', from: batch.lastMoves.from, until: batch.lastMoves.until, fill: '#5c4310' },
    { name: 'leave it', from: batch.heatUntil, until: end, fill: '#5c2216' },
  ]);
</script>

<div bind:clientWidth={width}>
  {#if width > 0}
    <svg {width} height={HEIGHT + 40} role="img" aria-label="Windows of this batch, minutes after mixing" class="block text-[12px]">
      {#each bands as band (band.name)}
        <rect x={x(band.from)} y={TOP} width={Math.max(0, x(band.until) - x(band.from))} height={HEIGHT - TOP} fill={band.fill} />
        {#if x(band.until) - x(band.from) > 60}<text x={x(band.from) + 6} y={TOP + 17} class="fill-nighttext">{band.name}</text>{/if}
      {/each}
      {#if white && curve}<path d="M{curve}" class="fill-none stroke-nighttext" stroke-width="2" />{/if}
      <path d="M{x(0)} {HEIGHT}H{x(end)}" class="stroke-nightline" />
      {#each ticks as tick (tick)}<text x={x(tick)} y={HEIGHT + 18} text-anchor="middle" class="fill-nightsoft">{tick}</text>{/each}
      <text x={x(end)} y={HEIGHT + 36} text-anchor="end" class="fill-nightsoft">min mixed</text>
      {#if since !== undefined}
        <path d="M{x(since)} {TOP}V{HEIGHT}" stroke="#f0704a" stroke-width="3" />
        <text x={x(since)} y={HEIGHT + 36} text-anchor="middle" fill="#f0704a">{plain(Math.floor(since), 0)}</text>
      {/if}
    </svg>
  {/if}
</div>
