<script lang="ts">
  import { freeId } from '#core/edit';
  import { limits, type Stock, type StockUnit } from '#core/document';
  import { holdable } from '#core/formats';
  import type { Means } from '#core/plan';
  import { densityOf, inDrawingOrder, itemKey, itemName, summed, turned, type Coming, type Ledger, type LedgerLine } from '#core/stock';
  import { plain, read, mass, volume, bare, length } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { unitLabel, writeAmount } from '$lib/ui/amount';
  import { money } from '$lib/ui/money';
  import type { CellReading, TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';
  import Remove from './Remove.svelte';
  import { put, readBare, readDay, readName, today, withField } from './put';

  /** Every container with what is left in it. A cell typed over changes it; what is left, typed over, is a correction. */
  let { shelf, coming, means }: { shelf: Ledger; coming: Coming[]; means: Means } = $props();

  type Row = LedgerLine & { id: string };
  const rows = $derived(
    shelf.lines
      .map((line): Row => ({ id: line.stock.id, ...line }))
      .sort((a, b) => itemName(a.stock.of, means).localeCompare(itemName(b.stock.of, means)) || inDrawingOrder(a.stock, b.stock)),
  );
  const name = (stock: Stock): string => `${itemName(stock.of, means)}, ${stock.name}`;
  const reserved = $derived(new Map(summed(coming.flatMap((c) => c.taken)).map((t) => [itemKey(t.of), t])));

  /** What planned pours need of a thing, in this container's unit. */
  function needed({ stock }: Row): number | undefined {
    const taken = reserved.get(itemKey(stock.of));
    return taken && turned(taken.amount, taken.unit, stock.unit, densityOf(stock, means));
  }
  const set = <K extends keyof Stock>(row: Row, key: K, value: Stock[K] | undefined, what: string) =>
    put(`Change ${what} of ${name(row.stock)}`, { table: 'stock', id: row.id, row: withField(row.stock, key, value), was: row.stock });

  const quantities = { g: mass, ml: volume, m: length, pieces: bare };
  /** An amount in the container's unit; a length is kept in metres. */
  function readAmount(text: string, { stock: { unit } }: Row): CellReading {
    const reading = read(quantities[unit], text, unit === 'pieces' ? '' : unitLabel(unit, shared.write));
    return reading.ok && unit === 'm' ? { ok: true, value: reading.value / 1000 } : reading;
  }
  function readSize(text: string, row: Row): CellReading {
    const reading = readAmount(text, row);
    return !reading.ok || ((reading.value as number) > 0 && (reading.value as number) <= 1e6)
      ? reading
      : { ok: false, says: `A container holds something. Give its size, as in “${writeAmount(1000, row.stock.unit, shared.write)}”.` };
  }
  function readLeft(text: string, row: Row): CellReading {
    const reading = readAmount(text, row);
    if (!reading.ok) return reading;
    const value = reading.value as number;
    if (value < 0)
      return { ok: false, says: `It can be empty at the least. Give 0 to ${writeAmount(row.stock.size, row.stock.unit, shared.write)}.` };
    return value > row.stock.size
      ? {
          ok: false,
          says: `It holds ${writeAmount(row.stock.size, row.stock.unit, shared.write)} when full. Give what is left in it, or add a container.`,
        }
      : reading;
  }
  const correct = (row: Row, left: number) =>
    put(`Correct what is left of ${name(row.stock)}`, {
      table: 'stock',
      id: row.id,
      was: row.stock,
      row: {
        ...row.stock,
        corrections: [
          ...(row.stock.corrections ?? []),
          { at: new Date().toISOString(), by: Number((left - row.left).toPrecision(9)), why: 'counted' },
        ],
      },
    });

  const options = $derived(holdable(means).map((of) => ({ value: itemKey(of), label: itemName(of, means), of })));
  const columns: TableColumn<Row>[] = [
    {
      id: 'what',
      head: 'what',
      value: (r) => itemName(r.stock.of, means),
      edit: {
        kind: 'choice',
        value: (r) => itemKey(r.stock.of),
        options: (r) => options.filter((o) => o.of.kind === 'supply' || r.stock.unit === 'g' || r.stock.unit === 'ml'),
        store: (r, value) => set(r, 'of', options.find((o) => o.value === value)!.of, 'the content'),
      },
    },
    {
      id: 'name',
      head: 'container',
      value: (r) => r.stock.name,
      edit: { kind: 'text', text: (r) => r.stock.name, read: readName, store: (r, v) => set(r, 'name', v, 'the name') },
    },
    {
      id: 'size',
      head: 'size',
      value: (r) => r.stock.size,
      shows: (r) => writeAmount(r.stock.size, r.stock.unit, shared.write),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => writeAmount(r.stock.size, r.stock.unit, shared.write),
        read: readSize,
        store: (r, v) => set(r, 'size', v, 'the size'),
      },
    },
    {
      id: 'unit',
      head: 'in',
      value: (r) => unitLabel(r.stock.unit, shared.write),
      edit: {
        kind: 'choice',
        value: (r) => r.stock.unit,
        options: (r) =>
          ((r.stock.of.kind === 'supply' ? ['g', 'ml', 'm', 'pieces'] : ['g', 'ml']) as StockUnit[]).map((u) => ({
            value: u,
            label: unitLabel(u, shared.write),
          })),
        store: (r, value) => set(r, 'unit', value as StockUnit, 'the unit'),
      },
    },
    {
      id: 'left',
      head: 'left',
      value: (r) => r.left,
      shows: (r) => writeAmount(Math.max(0, r.left), r.stock.unit, shared.write),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => writeAmount(Math.max(0, r.left), r.stock.unit, shared.write),
        read: readLeft,
        store: (r, v) => correct(r, v),
      },
    },
    {
      id: 'reserved',
      head: 'planned',
      value: needed,
      shows: (r) => (needed(r) === undefined ? '–' : writeAmount(needed(r)!, r.stock.unit, shared.write)),
      right: true,
    },
    {
      id: 'price',
      head: 'price',
      value: (r) => r.stock.price,
      shows: (r) => money(r.stock.price, shared.settings!),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => plain(r.stock.price, 2),
        read: readBare({ min: 0, max: 1e6 }, 'A price', 2),
        store: (r, v) => set(r, 'price', v, 'the price'),
      },
    },
    ...(['since', 'opened', 'expires'] as const).map((key): TableColumn<Row> => ({
      id: key,
      head: key === 'since' ? 'bought' : key,
      value: (r) => r.stock[key],
      edit: {
        kind: 'text',
        text: (r) => r.stock[key] ?? '',
        read: (text) => (key === 'since' && !text.trim() ? { ok: false, says: 'Give the day it came, as 2026-11-25.' } : readDay(text)),
        store: (r, v) => set(r, key, v, `“${key}”`),
      },
    })),
    {
      id: 'lot',
      head: 'lot',
      value: (r) => r.stock.lot,
      edit: {
        kind: 'text',
        text: (r) => r.stock.lot ?? '',
        read: (text) =>
          text.length > 60 ? { ok: false, says: 'A lot has up to 60 letters.' } : { ok: true, value: text.trim() || undefined },
        store: (r, v) => set(r, 'lot', v, 'the lot'),
      },
    },
    {
      id: 'density',
      head: 'weighs',
      value: (r) => r.stock.density,
      shows: (r) => (r.stock.of.kind === 'supply' && r.stock.density === undefined ? '–' : shared.write.density(densityOf(r.stock, means))),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => (r.stock.density === undefined ? '' : shared.write.density(r.stock.density)),
        read: (text) => (text.trim() ? reads.current.density(text, limits.density, 'A density') : { ok: true, value: undefined }),
        store: (r, v) => set(r, 'density', v, 'the density'),
      },
    },
  ];

  function add() {
    const id = freeId(
      'container',
      shelf.lines.map((l) => l.stock),
    );
    const of = options[0]!.of;
    const row: Stock = { id, name: 'New container', of, size: 1000, unit: 'g', price: 0, since: today() };
    void put('Add a container', { table: 'stock', id, row });
  }
  const expired = (r: Row): boolean => Boolean(r.stock.expires && r.stock.expires < today());
</script>

{#if shelf.short.length}
  <p class="border-b border-rule bg-warnground px-3 py-1.5 text-[13px] text-warnink">
    <b>Taken beyond what was there:</b>
    {shelf.short.map((s) => `${writeAmount(s.amount, s.unit, shared.write)} of ${itemName(s.of, means)} for ${s.piece}`).join('; ')}. Add
    the container it came from, with the day it was bought, or correct what is left.
  </p>
{/if}
<DataTable
  name="containers"
  label="containers"
  {rows}
  {columns}
  marked={expired}
  empty="The shelf is empty. Add a container, or bring one in from CSV."
  {tools}
  {actions}
/>
{#snippet tools()}<button type="button" class="chip" onclick={add}>Add a container</button>{/snippet}
{#snippet actions(r: Row)}
  {#if expired(r)}<span class="mr-2 text-[13px] font-bold text-warn">expired</span>{/if}
  <Remove name={name(r.stock)} onremove={() => put(`Remove ${name(r.stock)}`, { table: 'stock', id: r.id, row: null })} />
{/snippet}
