<script lang="ts">
  import { card, cardCorners, cardGreys, cardGrounds, CARD_BLACK, hexOf } from '#core/tint';

  /** The card a smear is photographed on, in mm, to be printed at its real size. */
  const grey = (R: number): string => hexOf([R, R, R]);
  const { black, smear } = cardGrounds;
</script>

<svg viewBox="0 0 {card.width} {card.height}" width="{card.width}mm" height="{card.height}mm" role="img" aria-label="Card for a smear">
  <rect x="0.1" y="0.1" width={card.width - 0.2} height={card.height - 0.2} class="fill-paper stroke-ink" stroke-width="0.2" />
  {#each cardGreys as { patch, reflectance }, i (i)}
    <!-- white is the paper's own -->
    <rect
      x={patch.x}
      y={patch.y}
      width={patch.width}
      height={patch.height}
      fill={reflectance > 0.8 ? '#ffffff' : grey(reflectance)}
      stroke="#cfccc4"
      stroke-width="0.1"
    />
  {/each}
  <rect x={black.x} y={black.y} width={black.width} height={black.height} fill={grey(CARD_BLACK)} />
  <rect
    x={smear.x}
    y={smear.y}
    width={smear.width}
    height={smear.height}
    fill="none"
    stroke="#586470"
    stroke-width="0.2"
    stroke-dasharray="2 2"
  />
  {#each cardCorners as corner, i (i)}<circle cx={corner.x} cy={corner.y} r="2.500" fill={grey(CARD_BLACK)} />{/each}
  <text x="11" y="23" font-size="4" class="fill-ink" transform="rotate(-90 15 23) translate(-14 0)">smear</text>
</svg>
