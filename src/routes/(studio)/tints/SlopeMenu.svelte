<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { freeId } from '#core/edit';
  import type { Slope } from '#core/document';
  import { startingSlope } from '#core/craft';
  import { editRows, SLOPES } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import { savedAs } from '$lib/ui/saved';
  import { worked, type SlopeDraft, type Worked } from './slope.svelte';

  /** What is done with slopes as a whole: new, twice, turned round, out as a file, in again, taken off. */
  let { draft, work }: { draft: SlopeDraft; work: Worked | undefined } = $props();

  let file = $state<HTMLInputElement>();
  const slopes = $derived(shared.slopes ?? []);
  const show = (id: string) => goto(`/tints?slope=${id}`, { keepFocus: true, noScroll: true });

  const put = async (label: string, rows: Slope[]) => {
    if (
      await attempt(() =>
        editRows(
          SLOPES,
          label,
          rows.map((row) => ({ table: 'slopes' as const, id: row.id, row })),
        ),
      )
    )
      await show(rows[0]!.id);
  };
  export function add() {
    const resin = work?.means.resin ?? shared.resins?.[0];
    if (!resin) return void said.failed('A slope is made in a resin, and there is none on the shelf. Put one there first.');
    const id = freeId('slope', slopes);
    void put('Add a slope', [startingSlope(id, `Slope ${id.split('-')[1]}`, resin.id, shared.colourants ?? [])]);
  }
  const twice = (w: Worked) =>
    put(`Copy ${w.slope.name}`, [{ ...w.slope, id: freeId('slope', slopes), name: `${w.slope.name}, again`.slice(0, 80) }]);
  const reverse = (w: Worked) =>
    draft.commit(w.slope.palestFirst ? 'Lay the deepest first' : 'Lay the palest first', ({ palestFirst, ...s }) =>
      palestFirst ? s : { ...s, palestFirst: true },
    );
  async function remove(w: Worked) {
    const { id, name } = w.slope;
    if (!(await attempt(() => editRows(SLOPES, `Remove ${name}`, [{ table: 'slopes', id, row: null }])))) return;
    await goto('/tints', { keepFocus: true });
    void said.done(`${name} was removed. Undo brings it back; pieces keep its tints.`);
  }
  const materials = () => ({ resins: shared.resins ?? [], colourants: shared.colourants ?? [] });
  const csv = () =>
    attempt(async () => {
      const { writeSlopes } = await import('#core/formats');
      const rows = slopes.flatMap((s) => worked(s) ?? []).map(({ slope, solved }) => ({ slope, solved }));
      savedAs('slopes.csv', 'text/csv', writeSlopes(rows, materials(), shared.write));
    });
  const palette = (w: Worked) =>
    attempt(async () => {
      const { writePalette } = await import('#core/formats');
      savedAs(`${w.slope.id}.svg`, 'image/svg+xml', writePalette(w.slope, w.solved));
    });
  async function bring(event: Event & { currentTarget: HTMLInputElement }) {
    const chosen = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!chosen) return;
    await attempt(async () => {
      const { readSlopes } = await import('#core/formats');
      const taken: { id: string }[] = [...slopes];
      const reading = readSlopes(await chosen.text(), materials(), () => {
        taken.push({ id: freeId('slope', taken) });
        return taken.at(-1)!.id;
      });
      if (!reading.ok) return said.failed(`${chosen.name} was not brought in. ${reading.says}`);
      await put(`Bring in ${chosen.name}`, reading.slopes);
      void said.done(
        `${reading.slopes.length === 1 ? 'One slope' : `${reading.slopes.length} slopes`} came in from ${chosen.name}, its cups locked.`,
      );
    });
  }
  const item = 'flex cursor-pointer rounded-sheet px-3 py-1.5 outline-none select-none data-disabled:text-soft data-highlighted:bg-ground';
</script>

<input bind:this={file} type="file" accept=".csv,text/csv" class="sr-only" tabindex="-1" aria-label="Slopes from CSV" onchange={bring} />
<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button">Slope</DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="sheet z-40 min-w-52 bg-paper p-1" align="end" sideOffset={4}>
      <DropdownMenu.Item class={item} onSelect={add}>New slope</DropdownMenu.Item>
      {#if work}
        {@const w = work}
        <DropdownMenu.Item class={item} onSelect={() => twice(w)}>Copy it</DropdownMenu.Item>
        <DropdownMenu.Item class={item} onSelect={() => reverse(w)}>Reverse it</DropdownMenu.Item>
        <DropdownMenu.Separator class="my-1 border-t border-rule" />
        <DropdownMenu.Item class={item} onSelect={() => goto(`/tints/card?slope=${w.slope.id}`)}>Print its card</DropdownMenu.Item>
        <DropdownMenu.Item class={item} onSelect={() => palette(w)}>Palette as SVG</DropdownMenu.Item>
        <DropdownMenu.Item class={item} onSelect={csv}>All slopes as CSV</DropdownMenu.Item>
      {/if}
      <DropdownMenu.Item class={item} onSelect={() => file?.click()}>Bring in CSV</DropdownMenu.Item>
      {#if work}
        {@const w = work}
        <DropdownMenu.Separator class="my-1 border-t border-rule" />
        <DropdownMenu.Item class={item} onSelect={() => remove(w)}>Remove {w.slope.name}</DropdownMenu.Item>
      {/if}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
