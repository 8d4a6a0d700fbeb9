<script lang="ts">
  import type { ShelfPreview } from '#core/formats';
  import type { Means } from '#core/plan';
  import { itemName, type Ledger } from '#core/stock';
  import { editRows, SHELF } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { readShelfFile } from '$lib/work/shelf';
  import { attempt } from '$lib/ui/attempt';
  import FileButton from '$lib/ui/FileButton.svelte';
  import { savedAs } from '$lib/ui/saved';
  import type ShelfImport from './ShelfImport.svelte';
  import type { Component, ComponentProps } from 'svelte';

  /** The containers out as CSV, and in again after what would change has been looked at. */
  let { shelf, means }: { shelf: Ledger; means: Means } = $props();

  let busy = $state(false);
  let open = $state(false);
  let fileName = $state('');
  let says = $state('');
  let preview = $state.raw<ShelfPreview>();
  let Asking = $state.raw<Component<ComponentProps<typeof ShelfImport>, object, 'open'>>();

  const save = () =>
    attempt(async () => {
      const { writeShelf } = await import('#core/formats');
      savedAs('shelf.csv', 'text/csv', writeShelf(shelf, means));
    });

  async function choose(file: File) {
    busy = true;
    await attempt(async () => {
      Asking = (await import('./ShelfImport.svelte')).default;
      fileName = file.name;
      const { resins, colourants } = means;
      const reading = await readShelfFile(await file.text(), shared.stock ?? [], { resins, colourants }).done;
      if (!reading) return;
      preview = reading.ok ? reading.preview : undefined;
      says = reading.ok ? '' : reading.says;
      open = true;
    });
    busy = false;
  }

  const bring = () =>
    attempt(async () => {
      if (!preview) return;
      const rows = [...preview.added, ...preview.changed.map((c) => c.after)].map((row) => ({ table: 'stock' as const, id: row.id, row }));
      await editRows(SHELF, `Bring in ${fileName}`, rows);
      open = false;
    });
</script>

<button type="button" class="button" onclick={save}>Shelf as CSV</button>
<FileButton label="Bring in CSV" {busy} accept=".csv,text/csv" onfile={choose} />
{#if Asking}<Asking bind:open {fileName} {says} {preview} what={(stock) => itemName(stock.of, means)} onbring={bring} />{/if}
