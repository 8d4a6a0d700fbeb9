<script lang="ts" module>
  import type { Ring } from '#core/geometry';
  import { later } from './later';

  let fetched: Promise<typeof import('./Foam.svelte')> | undefined;
  /** Foam is worked out once the screen stands. */
  const foamParts = () => (fetched ??= later().then(() => import('./Foam.svelte')));

  const written = new WeakMap<Ring[], string>();
  /** Rings as a path, written once for each list of them: a drag leaves most of the board as it was. */
  function path(rings: Ring[]): string {
    let d = written.get(rings);
    if (d === undefined)
      written.set(rings, (d = rings.map((ring) => `M${ring.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L')}Z`).join('')));
    return d;
  }
</script>

<script lang="ts">
  import { threadReach } from '#core/coat';
  import { holesOf, isLine } from '#core/document';
  import { foamStrip, rimRings, seedOf } from '#core/geometry';
  import { hourMarks } from '#core/prepare';
  import type { PiecePlan } from '#core/plan';

  /**
   * The board as it will be seen, in mm, y downward: patches in their computed colours, hatched where no model knows
   * them, each wave's foam as it was rehearsed, or as the share of it that stays closed, bands of the beach, holes and what is set on it.
   */
  interface Props {
    plan: Pick<PiecePlan, 'piece' | 'cut' | 'colours'> & { means?: PiecePlan['means'] };
    dressings?: boolean;
    /** The whole plan, where it is of another stage of the board: what its foam is worked out from. None where it stays flat. */
    whole?: PiecePlan | null | undefined;
  }
  let { plan, dressings = true, whole = plan.means && (plan as PiecePlan) }: Props = $props();

  const id = $props.id();
  const piece = $derived(plan.piece);

  const hatch = `url(#${id}-hatch)`;
  /** How far the edge of foam wanders about its mean reach, as heat leaves it. */
  const WANDER = 0.45;
  const foams = $derived(
    plan.colours.foams.flatMap((foam) => {
      const line = piece.coats.find((c) => c.id === foam.coatId);
      if (!line || !isLine(line)) return [];
      const reach = line.kind === 'wave' ? { ...line, wander: WANDER } : threadReach(line);
      return [{ ...foam, line, strip: path(foamStrip(piece.sea, line.along, { ...reach, seed: seedOf(line.id) })) }];
    }),
  );
  /** The beach and the parts of the sea, each drawn again in the foam's colour where its strip lies. */
  const parts = $derived([plan.cut.beach, ...plan.cut.sea]);
  const rim = $derived(path(rimRings(piece.shape)));
</script>

<g class="work">
  <defs>
    <pattern id="{id}-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
      ><rect width="7" height="7" class="fill-sheet" /><path d="M0 0V7" class="stroke-soft" stroke-width="1.2" /></pattern
    >
    <pattern id="{id}-gravel" width="6" height="6" patternUnits="userSpaceOnUse"
      ><circle cx="1.500" cy="2" r="1.300" class="fill-soft" /><circle cx="4.500" cy="4.800" r="1" class="fill-ink" /></pattern
    >
  </defs>
  {#if plan.cut.bare.area > 0}<path d={path(plan.cut.bare.rings)} class="fill-ground" />{/if}
  {#each plan.colours.patches as patch, i (i)}<path d={path(patch.rings)} fill={patch.colour ?? hatch} fill-rule="evenodd" />{/each}
  {#if plan.colours.dry}<path d={path(plan.colours.dry.rings)} fill={plan.colours.dry.colour} fill-rule="evenodd" />{/if}
  {#if plan.colours.gravel}<path d={path(plan.colours.gravel)} fill="url(#{id}-gravel)" fill-rule="evenodd" />{/if}
  {#each foams as foam (foam.coatId)}
    {#snippet filled(colours: (string | undefined)[])}
      {#each parts as part, i (i)}{#if part.area > 0}<path d={path(part.rings)} fill={colours[i] ?? hatch} />{/if}{/each}
    {/snippet}
    {#snippet white()}{@render filled(foam.thick ?? foam.parts)}{/snippet}
    {#snippet flat()}
      <clipPath id="{id}-{foam.coatId}"><path d={foam.strip} /></clipPath>
      <g fill-opacity={foam.closed} clip-path="url(#{id}-{foam.coatId})">{@render filled(foam.parts)}</g>
    {/snippet}
    {#if whole && foam.line.kind === 'wave' && foam.closed < 1}
      {#await foamParts()}{@render flat()}{:then { default: Foam }}<Foam plan={whole} wave={foam.line} {flat} {white} />{/await}
    {:else}{@render flat()}{/if}
  {/each}
  {#each holesOf(piece) as hole, i (i)}<circle
      cx={hole.x}
      cy={hole.y}
      r={hole.diameter / 2}
      class={hole.filled ? 'fill-none stroke-ink' : 'fill-sheet stroke-ink'}
      stroke-dasharray={hole.filled ? '3 2' : undefined}
      stroke-width="1"
      vector-effect="non-scaling-stroke"
    />{/each}
  {#each hourMarks(piece) as mark (mark.hour)}<circle
      cx={mark.x}
      cy={mark.y}
      r="1.600"
      class="fill-ink stroke-paper"
      stroke-width="0.500"
    />{/each}
  {#if dressings}
    {#each piece.dressings ?? [] as d (d.id)}<circle
        cx={d.x}
        cy={d.y}
        r={d.size / 2}
        class="fill-paper/80 stroke-ink"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />{/each}
  {/if}
  <path d={rim} fill="none" class="stroke-ink" stroke-width="1" vector-effect="non-scaling-stroke" />
</g>
