<script lang="ts">
  import type { Piece } from '#core/document';
  import { foamParts, rimRing, type Cut, type Ring } from '#core/geometry';
  import type { ChartColours } from '#core/plan';

  /** The board as it will be seen, in mm, y downward: regions in their computed colours, the foam as the share of it that stays closed. */
  let { piece, cut, colours, foamOpen }: { piece: Piece; cut: Cut; colours: ChartColours; foamOpen: number } = $props();

  const path = (rings: Ring[]): string =>
    rings.map((ring) => `M${ring.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L')}Z`).join('');
  const wave = $derived(piece.coats.findLast((coat) => coat.kind === 'wave'));
  const foam = $derived(wave?.kind === 'wave' ? foamParts(cut, piece.sea, wave.reachSea, wave.reachUp) : undefined);
</script>

<path d={path(cut.beach.rings)} fill={colours.beach} />
{#each cut.sea as part, i (i)}<path d={path(part.rings)} fill={colours.sea[i]} />{/each}
{#if colours.foam && foam}
  <g fill-opacity={1 - foamOpen}>
    <path d={path(foam.beach)} fill={colours.foam.beach} />
    {#each foam.sea as part, i (i)}<path d={path(part)} fill={colours.foam.sea[i]} />{/each}
  </g>
{/if}
{#each piece.holes as hole, i (i)}<circle
    cx={hole.x}
    cy={hole.y}
    r={hole.diameter / 2}
    class="fill-sheet stroke-ink"
    stroke-width="1"
    vector-effect="non-scaling-stroke"
  />{/each}
<path d={path([rimRing(piece.shape)])} fill="none" class="stroke-ink" stroke-width="1" vector-effect="non-scaling-stroke" />
