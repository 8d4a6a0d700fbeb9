<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { drawnLines, MARGIN, OVERLAP, pageName, type Paper, type TemplateLayout, type TemplatePage } from '#core/formats';
  import type { PiecePlan } from '#core/plan';
  import { namedParts } from '../named-parts';

  /** One page of the drawing at full size: lines to trace, marks to cut and glue by, and a bar to check the printer with. All in mm. */
  interface Props {
    plan: PiecePlan;
    laid: TemplateLayout;
    sheet: TemplatePage;
    paper: Paper;
  }
  let { plan, laid, sheet, paper }: Props = $props();

  const { paperWidth: w, paperHeight: h } = $derived(laid);
  const lines = $derived(drawnLines(plan));
  const names = $derived(namedParts(plan));
  const [right, foot] = $derived([MARGIN + sheet.width, MARGIN + sheet.height]);
  /** Lines outside the window's corners, to cut along. */
  const marks = $derived(
    [MARGIN, right]
      .flatMap((x) => [`M${x} ${MARGIN - 2}v-6`, `M${x} ${foot + 1}v3.5`])
      .concat([MARGIN, foot].flatMap((y) => [`M${MARGIN - 2} ${y}h-6`, `M${right + 2} ${y}h6`]))
      .join(''),
  );
  const bar = $derived(h - MARGIN - 3);
  /** A rule to check the print by, in the studio's unit. */
  const rule = $derived(
    shared.write.units.length === 'in'
      ? { says: '4 in', step: 6.35, count: 16, long: 4 }
      : { says: shared.write.length(100), step: 10, count: 10, long: 5 },
  );
</script>

<svg
  class="paper block shrink-0 bg-paper"
  style:page="{paper}-{laid.landscape ? 'across' : 'upright'}"
  width="{w}mm"
  height="{h}mm"
  viewBox="0 0 {w} {h}"
  role="img"
  aria-label="Template of {plan.piece.name}, page {pageName(sheet)}"
>
  <svg
    x={MARGIN}
    y={MARGIN}
    width={sheet.width}
    height={sheet.height}
    viewBox="{sheet.x} {sheet.y} {sheet.width} {sheet.height}"
    overflow="hidden"
  >
    {#each lines as line (line.id)}
      <path
        d={line.d}
        fill="none"
        class="stroke-ink"
        stroke-width={line.what === 'outline' ? 0.6 : 0.3}
        stroke-dasharray={line.what === 'curve' && !line.id.startsWith('shoreline') ? '3 1.500' : undefined}
      />
    {/each}
    {#each names as n, i (i)}<text x={n.at.x} y={n.at.y} text-anchor="middle" class="fill-soft font-serif italic" font-size="5"
        >{n.name}</text
      >{/each}
    {#if sheet.column > 0}<path
        d="M{sheet.x + OVERLAP} {sheet.y}v{sheet.height}"
        class="stroke-soft"
        stroke-width="0.200"
        stroke-dasharray="1 2"
      />{/if}
    {#if sheet.row > 0}<path
        d="M{sheet.x} {sheet.y + OVERLAP}h{sheet.width}"
        class="stroke-soft"
        stroke-width="0.200"
        stroke-dasharray="1 2"
      />{/if}
  </svg>
  <path d={marks} class="stroke-ink" stroke-width="0.250" fill="none" />
  <g class="fill-ink" font-size="3.500">
    <path
      d="M{MARGIN} {bar}h{rule.step * rule.count}M{Array.from(
        { length: rule.count + 1 },
        (_, i) => `${MARGIN + rule.step * i} ${bar}v${i % rule.long === 0 ? -3 : -1.5}`,
      ).join('M')}"
      class="stroke-ink"
      stroke-width="0.300"
      fill="none"
    />
    <text x={MARGIN} y={bar - 4.5}>{rule.says}: measure it. If it is off, print again at 100 %.</text>
    <text x={right} y={bar - 4.5} text-anchor="end"
      >{plan.piece.name}, page {pageName(sheet)}, {laid.pages.indexOf(sheet) + 1} of {laid.pages.length}</text
    >
    {#if laid.pages.length > 1}<text x={right} y={bar} text-anchor="end" class="fill-soft" font-size="3"
        >Cut at the marks, and lay each page on the next up to its dotted line.</text
      >{/if}
  </g>
</svg>
