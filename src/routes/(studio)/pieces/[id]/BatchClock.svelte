<script lang="ts">
  import { stepKey } from '#core/document';
  import { likelyOf, type Batch, type PiecePlan } from '#core/plan';
  import { say, tell, writeRange } from '#core/pour';
  import { plain, writeSpan } from '#core/units';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';

  /** The windows of a batch on the clock that starts when A and B meet, with the planned steps as marks below. */
  let { plan, pour, batch }: { plan: PiecePlan; pour: number; batch: Batch } = $props();
  const told = $derived(tell(planner.together([{ plan, pour }], plan.means), plan.means.air(0)));
  const steps = $derived(told.steps.filter((s) => plan.pours[pour]?.batches[s.batch] === batch));
  const white = $derived(steps.some((s) => s.id.does === 'white'));

  const [LEFT, TOP, ROW, RIGHT] = [104, 6, 21, 16];
  let width = $state(0);
  const w = $derived(batch.windows);
  const sure = $derived(likelyOf(batch, plan.means));
  const own = $derived(steps.map((s) => ({ ...s, min: s.at - s.mixedAt })));
  const end = $derived(Math.ceil((Math.max(w.heatUntil * 1.12, ...own.map((s) => s.min)) + 2) / 10) * 10);
  const x = $derived((min: number): number => LEFT + (Math.min(Math.max(min, 0), end) / end) * Math.max(0, width - LEFT - RIGHT));
  const ticks = $derived(Array.from({ length: Math.floor(end / 10) + 1 }, (_, i) => i * 10));
  const rows = $derived([
    { name: 'tint blends', from: w.tint.from, until: w.tint.until, tone: 'fill-rule stroke-soft' },
    ...(w.white && w.white.until > w.white.from
      ? [{ name: 'white ready', from: w.white.from, until: w.white.until, tone: 'fill-paper stroke-open', best: w.whiteBest }]
      : []),
    { name: 'heat moves it', from: w.stirred, until: w.heatUntil, tone: 'fill-rule stroke-soft', last: w.lastMoves },
  ]);
  const bottom = $derived(TOP + rows.length * ROW);
</script>

<div class="min-h-0 shrink-0 pt-1" bind:clientWidth={width}>
  {#if width > 0}
    <svg {width} height={bottom + 40} class="block text-[12px]" role="img" aria-label="Windows of the batch, minutes after mixing">
      {#each rows as row, i (i)}
        {@const y = TOP + i * ROW}
        <text x="12" y={y + 13} class="fill-ink text-[13px]">{row.name}</text>
        <rect x={x(row.from)} y={y + 2} width={Math.max(0, x(row.until) - x(row.from))} height="14" class={row.tone} />
        {#if row.best}
          <rect x={x(row.best.from)} y={y + 2} width={x(row.best.until) - x(row.best.from)} height="14" class="fill-open" />
          <text x={x((row.best.from + row.best.until) / 2)} y={y + 13} text-anchor="middle" class="fill-paper text-[11px]">best</text>
        {/if}
        {#if row.last}
          <rect
            x={x(row.last.from)}
            y={y + 2}
            width={x(row.last.until) - x(row.last.from)}
            height="14"
            class="fill-warnground stroke-warn"
          />
          {#if x(row.last.until) - x(row.last.from) > 62}<text
              x={x((row.last.from + row.last.until) / 2)}
              y={y + 13}
              text-anchor="middle"
              class="fill-ink text-[11px]">last moves</text
            >{/if}
        {/if}
      {/each}
      {#each own as step (stepKey(step.id))}
        <g>
          <title>{say(step, told, shared.write).done}, planned at {plain(step.min, 0)} min</title>
          {#if step.id.does === 'white'}<path d="M{x(step.min)} {TOP}V{bottom + 6}" class="stroke-buoy" stroke-width="2" />
          {:else if step.id.does !== 'cover'}<path
              d="M{x(step.min)} {bottom - 1}v7"
              class="stroke-ink"
              stroke-width={step.id.does === 'heat' ? 3 : 1.5}
            />{/if}
        </g>
      {/each}
      <path d="M{x(0)} {bottom + 6}H{x(end)}" class="stroke-line" />
      {#each ticks as tick (tick)}
        <path d="M{x(tick)} {bottom + 6}v4" class="stroke-soft" />
        <text x={x(tick)} y={bottom + 22} text-anchor="middle" class="fill-soft">{tick}</text>
      {/each}
      <text x="12" y={bottom + 22} class="fill-soft">min mixed</text>
    </svg>
  {/if}
</div>
<p class="px-3 pb-2 text-[13px] text-soft">
  Pour within <strong class="text-ink">{plain(w.heatUntil, 0)} min</strong>{writeRange(sure.heatUntil)}.
  {#if white}
    {#if w.white && w.whiteBest && w.white.until > w.white.from}White is ready at <strong class="text-ink"
        >{writeSpan(w.white.from, w.white.until)}</strong
      >{sure.whiteFrom ? ` (beginning within ${writeSpan(sure.whiteFrom.from, sure.whiteFrom.until)})` : ''}, crispest at {writeSpan(
        w.whiteBest.from,
        w.whiteBest.until,
      )}.{:else}There is no window for white at this temperature.{/if}
  {/if}
  Next coat after {writeSpan(w.nextCoat.from, w.nextCoat.until)}, full cure {Number.isFinite(w.fullCure)
    ? `at ${plain(w.fullCure / 60, 0)} h`
    : 'never at this temperature'}.
  <a class="underline" href="/pieces/{plan.piece.id}/clock?batch={pour + 1}.{plan.pours[pour]!.batches.indexOf(batch) + 1}"
    >The whole clock: how sure, and what if</a
  >
</p>
