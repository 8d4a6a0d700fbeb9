<script lang="ts">
  import type { Session } from '#core/calendar';

  /** One session in the lanes of its pieces: a pour solid, with a scuff before it where it needs one, all else outlined. */
  interface Props {
    session: Session;
    /** Top of each of its lanes, px. */
    rows: number[];
    x: (ms: number) => number;
    chosen: boolean;
    /** Tab stops at it. */
    reached: boolean;
    /** It lies elsewhere than it did. */
    moved: boolean;
    says: string;
    ondown: (event: PointerEvent) => void;
    onkey: (event: KeyboardEvent) => void;
  }
  let { session: s, rows, x, chosen, reached, moved, says, ondown, onkey }: Props = $props();
  const solid = $derived(s.kind === 'pour');
  const wide = $derived(Math.max(solid ? 4 : 3, x(s.until) - x(s.from)));
  const lit = $derived(chosen || moved);
</script>

<g
  role="button"
  tabindex={reached ? 0 : -1}
  data-session={s.id}
  class="outline-offset-1 {s.follows ? 'cursor-pointer' : 'cursor-grab'}"
  aria-label={says}
  aria-pressed={chosen}
  onpointerdown={ondown}
  onkeydown={onkey}
>
  <title>{says}</title>
  {#each rows as y (y)}
    <rect x={x(s.from) - 3} y={y + 8} width={wide + 6} height="38" class="fill-transparent" />
    {#if solid}
      {#if s.scuff}<rect
          x={x(s.from)}
          y={y + 12}
          width={Math.max(3, x(s.begins) - x(s.from))}
          height="30"
          fill="url(#tide-scuff)"
          class="stroke-warn"
        />{/if}
      <rect x={x(s.begins)} y={y + 12} width={Math.max(4, x(s.until) - x(s.begins))} height="30" class={lit ? 'fill-buoy' : 'fill-ink'} />
    {:else}
      <rect
        x={x(s.from)}
        y={y + (s.follows ? 18 : 15)}
        width={wide}
        height={s.follows ? 18 : 24}
        class="fill-sheet {lit ? 'stroke-buoy' : 'stroke-ink'}"
        stroke-width="1.2"
      />
    {/if}
    {#if s.pinned}<circle cx={x(s.begins) + Math.max(2, (x(s.until) - x(s.begins)) / 2)} cy={y + 7} r="3" class="fill-buoy"
        ><title>held there</title></circle
      >{/if}
  {/each}
</g>
