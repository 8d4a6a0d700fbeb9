<script lang="ts">
  import { tintsOf, type Colourant, type Part } from '#core/document';
  import { ownLimit } from '#core/craft';
  import { withLoad, withTint } from '#core/edit';
  import type { Cup } from '#core/coat';
  import type { PiecePlan } from '#core/plan';
  import { readDose, type Dose } from '#core/mix';
  import { swatchOf } from '#core/tint';
  import { writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { contentsOf, writeDose, writeGrains, writeMeasured } from '#core/pour';
  import { focusOn } from '$lib/ui/focus';
  import LiveField from '$lib/ui/LiveField.svelte';
  import NameField from '$lib/ui/NameField.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** Where a cup's amount comes from, its two parts by volume, and the recipe of its tint to change. */
  let { editor, plan, cup }: { editor: PieceEditor; plan: PiecePlan; cup: Cup } = $props();

  const volume = (ml: number): string => shared.write.volume(ml);
  const coat = $derived(plan.piece.coats.find((c) => c.id === cup.id.coat));
  const index = $derived(cup.id.tint ?? 0);
  const isTinted = $derived(['tint', 'glaze', 'base', 'sand', 'thread', 'white'].includes(cup.id.role));
  const tint = $derived(isTinted && coat ? tintsOf(coat)[index] : undefined);
  const parts = $derived(
    plan.means.colourants
      .map((colourant) => ({ colourant, load: tint?.recipe.find((p) => p.colourantId === colourant.id)?.load }))
      .filter((p) => p.load !== undefined),
  );
  const others = $derived(tint ? plan.means.colourants.filter((c) => !parts.some((p) => p.colourant.id === c.id)) : []);

  /** What a colourant's field shows: what is counted or measured, where that is all there is to say. */
  const shown = (load: number, dose: Dose | undefined): string =>
    dose && dose.letDown === undefined && (dose.count === undefined || dose.count > 0)
      ? writeMeasured(dose, shared.write)
      : writeShare(load);
  /** And what stands beside it: its share of the mix, or how it is thinned. */
  const beside = (load: number, dose: Dose | undefined): string =>
    dose?.letDown ? writeDose(dose, shared.write) : `${writeShare(load)} of the mix`;
  const set = (part: Part, name: string) => editor.commit(`Change ${name} in ${cup.name}`, (p) => withLoad(p, cup.id.coat, index, part));
  /** A colourant that is added begins with what a hand puts in first: a few drops, or a pea of paste. */
  const startingLoad = (c: Colourant): number => {
    const resinG = cup.parts.aG + cup.parts.bG;
    const first = readDose(c.dropMl === undefined ? 'a pea' : '3 drops', { colourant: c, resinG }, shared.write);
    return first.ok ? Math.min(first.value, ownLimit(c, cup.limit)) : 0.0005;
  };
  /** Takes a colourant off; the keyboard goes to the one that can be put back. */
  async function takeOff(colourant: { id: string; name: string }) {
    const { coat: coatId } = cup.id;
    const at = index;
    await editor.commit(`Take ${colourant.name} off ${cup.name}`, (p) => withLoad(p, coatId, at, { colourantId: colourant.id, load: 0 }));
    // who has gone on to type in a field is not taken out of it
    if (!(document.activeElement instanceof HTMLInputElement)) await focusOn(`add ${colourant.id}`);
  }
  const rename = (name: string) => {
    const { coat: coatId } = cup.id;
    const at = index;
    if (name) void editor.commit(`Rename ${cup.name}`, (p) => withTint(p, coatId, at, (t) => ({ ...t, name })));
  };
</script>

<div class="flex flex-col gap-1 pb-2 text-[13px] text-soft">
  <p>
    {#if cup.area > 0}{shared.write.area(cup.area)} take {volume(cup.makeup.laid)}{#if cup.makeup.runsOver > 0}, {volume(
          cup.makeup.runsOver,
        )} runs over the rim{/if}{:else}The drawn line takes {volume(cup.makeup.laid)}{/if}, spare {volume(
      cup.makeup.spare,
    )}{#if cup.makeup.heldBack > 0}, {volume(cup.makeup.heldBack)} held back for corrections{/if}, {volume(cup.makeup.stays)} stays in the cup{#if cup.makeup.surplus > 0},
      {volume(cup.makeup.surplus)} is left over, since no cup is filled with less{/if}{#if cup.sandG > 0}; of that {volume(cup.ml)} is resin,
      the rest {writeGrains(contentsOf(cup), shared.write)}{/if}.
  </p>
  <p>
    A {volume(cup.parts.aMl)}, B {volume(cup.parts.bMl)}. Colourant {writeShare(cup.load)} of the {writeShare(cup.limit)} this resin takes.
  </p>
  {#each parts as { colourant, load }, i (i)}
    {@const dose = cup.doses.find((d) => d.colourantId === colourant.id)}

    <LiveField
      narrow
      label={colourant.name}
      shows={shown(load!, dose)}
      read={(text) => readDose(text, { colourant, resinG: cup.parts.aG + cup.parts.bG }, shared.write)}
      hint={beside(load!, dose)}
      value={load!}
      commit={(v) => set({ colourantId: colourant.id, load: v }, colourant.name)}
    />
    <button type="button" class="-mt-1 self-start underline" onclick={() => takeOff(colourant)}>Take {colourant.name} off</button>
  {/each}
  {#if tint}<NameField label="name" value={tint.name} commit={rename} />{/if}
  {#if others.length}
    <p>
      Add {#each others as c (c.id)}<button
          type="button"
          class="mr-2 inline-flex items-center gap-1 underline"
          data-focus="add {c.id}"
          onclick={() => set({ colourantId: c.id, load: startingLoad(c) }, c.name)}
          ><span class="inline-block h-3.5 w-5 rounded-[2px] border border-line" style:background-color={swatchOf(c)}
          ></span>{c.name}</button
        >{/each}
    </p>
  {/if}
</div>
