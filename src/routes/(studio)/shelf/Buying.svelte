<script lang="ts">
  import type { Means } from '#core/plan';
  import { itemKey, itemName, toBuy, type Buy, type Coming, type Ledger } from '#core/stock';
  import { shared } from '$lib/store/shared.svelte';
  import { writeAmount } from '$lib/ui/amount';
  import { money } from '$lib/ui/money';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';
  import { today } from './put';

  /** What the coming pours need, what is there, and the packs that cover what is missing. */
  let { shelf, coming, means }: { shelf: Ledger; coming: Coming[]; means: Means } = $props();

  let left = $state.raw<ReadonlySet<string>>(new Set());
  const pieces = $derived([...new Map(coming.map((c) => [c.piece.id, c.piece])).values()]);
  const counted = $derived(coming.filter((c) => !left.has(c.piece.id)));
  type Row = Buy & { id: string };
  const rows = $derived(
    toBuy(
      counted.flatMap((c) => c.taken),
      shelf,
      means,
      today(),
    ).map((b): Row => ({ id: itemKey(b.needed.of), ...b })),
  );
  const total = $derived(rows.reduce((sum, r) => sum + (r.packs?.price ?? 0), 0));
  const unknown = $derived(rows.filter((r) => r.missing > 0 && !r.packs).length);
  const columns: TableColumn<Row>[] = [
    { id: 'what', head: 'what', value: (r) => itemName(r.needed.of, means) },
    {
      id: 'needed',
      head: 'planned pours take',
      value: (r) => r.needed.amount,
      shows: (r) => writeAmount(r.needed.amount, r.needed.unit, shared.write),
      right: true,
    },
    { id: 'left', head: 'on the shelf', value: (r) => r.left, shows: (r) => writeAmount(r.left, r.needed.unit, shared.write), right: true },
    {
      id: 'missing',
      head: 'missing',
      value: (r) => r.missing,
      shows: (r) => (r.missing > 0 ? writeAmount(r.missing, r.needed.unit, shared.write) : 'nothing'),
      right: true,
    },
    {
      id: 'packs',
      head: 'buy',
      value: (r) => r.packs?.count ?? 0,
      shows: (r) =>
        r.packs ? `${r.packs.count} × ${r.packs.stock.name}` : r.missing > 0 ? 'no pack size known: add a container once' : '–',
    },
    {
      id: 'price',
      head: 'price',
      value: (r) => r.packs?.price,
      shows: (r) => (r.packs ? money(r.packs.price, shared.settings!) : '–'),
      right: true,
    },
  ];
  function toggle(id: string) {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    left = next;
  }
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-3 py-1.5 text-[13px]">
  <span class="text-soft">for</span>
  {#each pieces as piece (piece.id)}
    <label class="flex items-center gap-1"
      ><input type="checkbox" checked={!left.has(piece.id)} onchange={() => toggle(piece.id)} />{piece.name}</label
    >
  {/each}
  <p class="ml-auto font-bold">
    {total > 0 || unknown ? `To buy: ${money(total, shared.settings!)}` : 'Nothing to buy'}{unknown
      ? `, and ${unknown} without a known pack`
      : ''}
  </p>
</div>
<DataTable
  name="buying"
  label="things to buy"
  {rows}
  {columns}
  marked={(r) => r.missing > 0}
  empty="No pour is planned, so nothing is needed."
/>
