<script lang="ts">
  import { limits, type Piece, type Sea } from '#core/document';
  import { withArea, withBareEdge, withBreaker, withCornerBeach, withIsland } from '#core/edit';
  import { looseGrams, type PiecePlan } from '#core/plan';
  import { bulk } from '#core/craft';
  import { shared } from '$lib/store/shared.svelte';
  import { focusOn } from '$lib/ui/focus';
  import LengthField from '$lib/ui/LengthField.svelte';
  import type { Drawing } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';

  /** Curves and bands that a sea may have besides its shore: each means something to the amounts. */
  let { editor, plan, drawing }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing } = $props();

  const sea = $derived(plan.piece.sea);
  const loose = $derived(looseGrams(plan));

  async function add(label: string, change: (piece: Piece) => Piece, key: (piece: Piece) => string) {
    await editor.commit(label, change);
    if (editor.piece) drawing.choose(key(editor.piece));
  }
  const lastCoast = (p: Piece): string => `coast:${p.sea.coasts?.at(-1)?.id}`;
  const set = (label: string, change: (old: Sea) => Sea) => editor.commit(label, (p) => ({ ...p, sea: change(p.sea) }));
  const withoutBand = (key: 'gravel' | 'dry') =>
    set(`Take the ${key === 'dry' ? 'dry sand' : key} off`, (old) => {
      const { [key]: _, ...rest } = old;
      return rest;
    }).then(() => focusOn(`band ${key}`));
</script>

<div class="flex flex-wrap items-center gap-x-2 gap-y-1">
  <button type="button" class="chip" onclick={() => add('Add an island', withIsland, lastCoast)}>island</button>
  <button type="button" class="chip" onclick={() => add('Add a beach', withCornerBeach, lastCoast)}>second beach</button>
  <button
    type="button"
    class="chip"
    title="A line along which a wave may break out at sea, or a thread run"
    onclick={() => add('Add a breaker', withBreaker, (p) => `breaker:${p.sea.breakers?.at(-1)?.id}`)}>a wave out at sea</button
  >
  {#each ['sky', 'land'] as const as kind (kind)}
    <button
      type="button"
      class="chip"
      title="A part of its own, with a coat of its own tint"
      disabled={(sea.areas?.length ?? 0) >= limits.areas.max}
      onclick={() =>
        add(
          `Add ${kind}`,
          (p) => withArea(p, kind, plan.means),
          (p) => `area:${p.sea.areas?.at(-1)?.id}`,
        )}>{kind}</button
    >
  {/each}
  <button
    type="button"
    class="chip"
    title="Beyond it the board stays without resin"
    disabled={Boolean(sea.bare)}
    onclick={() => add('Add an edge of the resin', withBareEdge, () => 'bare')}>edge of the resin</button
  >
  <button
    type="button"
    class="chip"
    disabled={Boolean(sea.gravel)}
    data-focus="band gravel"
    onclick={() => set('Add gravel', (old) => ({ ...old, gravel: { from: 40, to: 60 } })).then(() => focusOn('off gravel'))}>gravel</button
  >
  <button
    type="button"
    class="chip"
    disabled={Boolean(sea.dry)}
    data-focus="band dry"
    onclick={() => set('Keep sand dry', (old) => ({ ...old, dry: { from: 70 } })).then(() => focusOn('off dry'))}>dry sand kept pale</button
  >
</div>
<div class="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
  {#if sea.gravel}
    {@const gravel = sea.gravel}
    <LengthField
      label="gravel from"
      value={gravel.from}
      range={{ min: 0, max: gravel.to - 1 }}
      what="The near edge of the gravel"
      commit={(from) => set('Change the gravel', (old) => ({ ...old, gravel: { ...gravel, from } }))}
    />
    <LengthField
      label="to"
      value={gravel.to}
      range={{ min: gravel.from + 1, max: limits.strip.max }}
      what="The far edge of the gravel"
      commit={(to) => set('Change the gravel', (old) => ({ ...old, gravel: { ...gravel, to } }))}
    />
    <span class="text-soft">inland, {shared.write.measure(loose.gravel, loose.gravel / bulk.gravel, 0)}</span>
    <button type="button" class="underline" data-focus="off gravel" onclick={() => withoutBand('gravel')}>Take it off</button>
  {/if}
  {#if sea.dry}
    <LengthField
      label="dry sand from"
      value={sea.dry.from}
      range={limits.strip}
      what="A band"
      commit={(from) => set('Change the dry sand', (old) => ({ ...old, dry: { from } }))}
    />
    <span class="text-soft">inland, {shared.write.measure(loose.dry, loose.dry / bulk.sand, 0)}</span>
    <button type="button" class="underline" data-focus="off dry" onclick={() => withoutBand('dry')}>Take it off</button>
  {/if}
  {#if !sea.gravel && !sea.dry}<span class="text-soft">Bands lie inland from the shore, and say how much they take.</span>{/if}
</div>
