<script lang="ts">
  import type { Pour } from '#core/document';
  import type { Means } from '#core/plan';
  import { costOf, itemName, usagesOf, type Ledger, type Taken } from '#core/stock';
  import { zone } from '$lib/zone';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { writeAmount } from '$lib/ui/amount';
  import { money } from '$lib/ui/money';
  import { savedAs } from '$lib/ui/saved';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';

  /** What finished pours took, a line for each thing. */
  let { pours, shelf, means }: { pours: Pour[]; shelf: Ledger; means: Means } = $props();

  type Row = Taken & { id: string; piece: string; day: string; cost: number | undefined };
  const uses = $derived(usagesOf(pours));
  const rows = $derived(
    uses.flatMap((use) =>
      use.taken.map((taken, i): Row => {
        const cost = costOf([taken], shelf, means);
        return {
          ...taken,
          id: `${use.pourId} ${i}`,
          piece: use.piece,
          day: zone.dayOf(use.at),
          cost: cost.unpriced.length ? undefined : cost.amount,
        };
      }),
    ),
  );
  const columns: TableColumn<Row>[] = [
    { id: 'day', head: 'day', value: (r) => r.day },
    { id: 'piece', head: 'piece', value: (r) => r.piece },
    { id: 'what', head: 'what', value: (r) => itemName(r.of, means) },
    {
      id: 'amount',
      head: 'amount',
      value: (r) => r.amount,
      shows: (r) => writeAmount(r.amount, r.unit, shared.write),
      right: true,
    },
    {
      id: 'cost',
      head: 'cost',
      value: (r) => r.cost,
      shows: (r) => (r.cost === undefined ? 'no price' : money(r.cost, shared.settings!)),
      right: true,
    },
  ];
  const save = () =>
    attempt(async () => {
      const { writeUsage } = await import('#core/formats');
      savedAs('usage.csv', 'text/csv', writeUsage(uses, means, zone));
    });
</script>

<DataTable
  name="usage"
  label="things used"
  {rows}
  {columns}
  {tools}
  empty="No pour is finished yet. What it takes is counted here when it is."
/>
{#snippet tools()}<button type="button" class="chip" onclick={save}>Usage as CSV</button>{/snippet}
