<script lang="ts">
  import { partsFromDeep } from '#core/coat';
  import { tintsOf, type BaseCoat, type Piece } from '#core/document';
  import { withBaseTint, withoutBaseTint } from '#core/edit';
  import type { CoatPlan } from '#core/plan';

  /** The tints of a base, from the deep toward the beach: each is one part's of the board, or several parts'. */
  interface Props {
    c: CoatPlan;
    coat: BaseCoat;
    act: (label: string, to: (p: Piece, id: string) => Piece) => Promise<void>;
  }
  let { c, coat, act }: Props = $props();

  const tints = $derived(tintsOf(coat));
  const most = $derived(partsFromDeep(c.regions, c.piece.sea).length);
</script>

<div class="text-soft">
  {tints.length > 1 ? `${tints.length} tints, from the deep to the beach` : 'one tint'}
  {#if tints.length > 1}
    <ul>
      {#each tints as tint, i (i)}<li class="flex gap-2">
          <span class="truncate">{tint.name}</span>
          <button
            type="button"
            class="underline"
            onclick={() => act(`Take ${tint.name} off the base`, (p, id) => withoutBaseTint(p, id, i))}>take it off</button
          >
        </li>{/each}
    </ul>
  {/if}
  {#if tints.length < Math.min(8, most)}<button
      type="button"
      class="block text-left underline"
      onclick={() => act('Give the base another tint', withBaseTint)}>Another tint, toward the beach</button
    >{/if}
</div>
