<script lang="ts">
  import { lyingColours, whereOf } from '#core/bench';
  import type { Point, ToldStep } from '#core/document';
  import type { Ring } from '#core/geometry';
  import type { Session } from '#core/record';
  import { steady } from '#core/air';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';

  /**
   * The board to scale as it lies now, with the place of the step lit: the band of a cup, the line of a wave, the spot of a
   * shell; the edge it is drawn into dashed; and where the tool should be by now.
   */
  interface Props {
    session: Session;
    step: ToldStep;
    /** How far the tool has come along the line, 0 to 1; undefined while it is not on the board. */
    along?: number | undefined;
    /** A rehearsed pass: its strokes, which of them is next, and where the air is now, mm. */
    air?: { at?: Point; strokes: Point[][]; next: number } | undefined;
  }
  let { session, step, along, air }: Props = $props();

  const id = $props.id();
  const pieceId = $derived(step.id.piece ?? step.boards[0]?.piece ?? session.pour.of[0]!.pieceId);
  /** It is drawn from what the pour was planned from, whatever has become of the piece since. */
  const drawn = $derived.by(() => {
    const { pieces, resins, colourants, method } = session.pour.planned;
    const piece = pieces.find((p) => p.id === pieceId);
    return piece && planner.planIfAble(piece, { resins, colourants, method, air: steady(session.pour.roomC) });
  });
  const where = $derived(drawn && whereOf(drawn, step));
  const lies = $derived(drawn && lyingColours(drawn, session));
  const lit = $derived(Boolean(where && (where.rings.length || where.lines.length || where.dressings.length || where.holes.length)));
  const ring = (points: Ring | Point[]): string => points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L');
  const area = (rings: Ring[]): string => rings.map((r) => `M${ring(r)}Z`).join('');
  const count = $derived(step.boards.find((b) => b.piece === pieceId)?.count ?? drawn?.piece.count ?? 1);

  /** The place on a line so far along it. */
  function placeAt(lines: Point[][], share: number): Point | undefined {
    const legs = lines.flatMap((line) =>
      line.slice(1).map((p, i) => ({ from: line[i]!, to: p, long: Math.hypot(p.x - line[i]!.x, p.y - line[i]!.y) })),
    );
    let left = share * legs.reduce((sum, l) => sum + l.long, 0);
    for (const { from, to, long } of legs) {
      if (left <= long) return { x: from.x + ((to.x - from.x) * left) / (long || 1), y: from.y + ((to.y - from.y) * left) / (long || 1) };
      left -= long;
    }
    return legs.at(-1)?.to;
  }
  const tool = $derived(air ? air.at : along === undefined || !where ? undefined : placeAt(where.lines, along));
</script>

{#if drawn && lies && where}
  {@const b = drawn.bounds}
  {@const px = Math.max(b.width, b.height) / 300}
  <figure class="flex min-h-0 flex-col gap-2" aria-label="Where it goes on {drawn.piece.name}">
    <svg
      viewBox="{-6 * px} {-6 * px} {b.width + 12 * px} {b.height + 12 * px}"
      class="max-h-80 min-h-0 w-full"
      role="img"
      aria-label="{drawn.piece.name}, {shared.write.length(b.width)} by {shared.write.length(b.height)}{lit
        ? '; where it goes is lit'
        : ''}"
    >
      <BoardDrawing plan={lies} whole={drawn} />
      <clipPath id="{id}-board"><path d={area(drawn.cut.cover.rings)} clip-rule="evenodd" /></clipPath>
      {#if lit}
        <g clip-path="url(#{id}-board)">
          <!-- all but the place itself is dimmed -->
          <path d="M0 0H{b.width}V{b.height}H0Z{area(where.rings)}" fill-rule="evenodd" class="fill-night/55" />
          <path d={area(where.rings)} class="fill-none stroke-[#ffd27a]" stroke-width={2.5 * px} />
          {#each where.edges as edge, i (i)}<path
              d="M{ring(edge)}"
              class="fill-none stroke-[#ffffff]"
              stroke-width={2 * px}
              stroke-dasharray="{5 * px} {4 * px}"
            />{/each}
          {#each where.lines as line, i (i)}<path d="M{ring(line)}" class="fill-none stroke-[#ff9d5c]" stroke-width={3.5 * px} />{/each}
        </g>
        {#each where.dressings as d (d.id)}<circle
            cx={d.x}
            cy={d.y}
            r={d.size / 2 + 3 * px}
            class="fill-none stroke-[#ffd27a]"
            stroke-width={2.5 * px}
          />{/each}
        {#each where.holes as h, i (i)}<circle
            cx={h.x}
            cy={h.y}
            r={h.diameter / 2 + 2 * px}
            class="fill-none stroke-[#ffd27a]"
            stroke-width={2.5 * px}
          />{/each}
      {/if}
      {#each air?.strokes ?? [] as stroke, i (i)}<path
          d="M{ring(stroke)}"
          class="fill-none {i < (air?.next ?? 0) ? 'stroke-[#ffffff]/30' : i === air?.next ? 'stroke-[#ff9d5c]' : 'stroke-[#ffffff]/80'}"
          stroke-width={(i === air?.next ? 3 : 1.2) * px}
          stroke-linecap="round"
        />{/each}
      {#if tool}<circle
          cx={tool.x}
          cy={tool.y}
          r={8 * px}
          class="fill-[#ff9d5c] stroke-night"
          stroke-width={2 * px}
          data-testid="tool"
        />{/if}
    </svg>
    <figcaption class="text-[16px] text-nightsoft">
      <b class="font-normal text-nighttext">{drawn.piece.name}</b>{count > 1 ? `, each of ${count}` : ''} · {shared.write.length(b.width)} × {shared.write.length(
        b.height,
      )}{where.edges.length ? ' · dashed: the edge you draw it into' : ''}
    </figcaption>
  </figure>
{/if}
