<script lang="ts">
  import { colourantKinds } from '#core/craft';
  import { freeId } from '#core/edit';
  import type { Colourant } from '#core/document';
  import type { Measured, Rgb } from '#core/tint';
  import { editRows, SHELF } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';

  /** Puts what was measured on the shelf: to a colourant that is there, or as a new one. */
  let { measured }: { measured: Measured } = $props();

  let to = $state('');
  let typed = $state('');
  const colourants = $derived(shared.colourants ?? []);
  const chosen = $derived(colourants.find((c) => c.id === to));
  const named = $derived(typed.trim().slice(0, 80));
  const kept = (v: Rgb): Rgb => v.map((x) => Number(x.toPrecision(4))) as Rgb;

  const keep = () =>
    attempt(async () => {
      const { absorb, scatter } = measured;
      const { dropMl, density } = colourantKinds['liquid pigment'];
      const base: Colourant = chosen ?? {
        id: freeId('colourant', colourants),
        name: named,
        kind: 'liquid pigment',
        density,
        solids: 0.15,
        ...(dropMl && { dropMl }),
        absorb,
        scatter,
      };
      // what is measured is no longer by eye
      const { byEye: _, ...known } = base;
      const row = { ...known, absorb: kept(absorb), scatter: kept(scatter) };
      await editRows(SHELF, `Measure ${row.name}`, [{ table: 'colourants', id: row.id, row, ...(chosen && { was: chosen }) }]);
      void said.done(`${row.name} has its own k and s now; every slope and chart follows. Undo it on the Shelf.`);
    });
</script>

<div class="mt-3 flex flex-wrap items-end gap-2 border-t border-rule pt-2 text-[13px]">
  <label class="text-soft"
    >keep it as<select class="input min-h-8! w-auto! px-1! text-ink" bind:value={to}
      ><option value="">a new colourant</option>{#each colourants as c (c.id)}<option value={c.id}>{c.name}</option>{/each}</select
    ></label
  >
  {#if !chosen}<label class="text-soft">called<input class="input min-h-8! w-40! text-ink" bind:value={typed} maxlength="80" /></label>{/if}
  <button type="button" class="button" disabled={!chosen && !named} onclick={keep}>Keep on the shelf</button>
</div>
