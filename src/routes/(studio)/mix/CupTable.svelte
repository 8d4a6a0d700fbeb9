<script lang="ts">
  import { pricingOf } from '#core/craft';
  import type { Vessel } from '#core/document';
  import { vesselFor } from '#core/mix';
  import { sharesOf, type Batch, type Together } from '#core/plan';
  import type { Cup } from '#core/coat';
  import { costOf, takenByCup, type Ledger } from '#core/stock';
  import { fixed } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { contentsOf, writeContents } from '#core/pour';
  import LoadBar from '$lib/ui/LoadBar.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';

  /** Every cup of the session: what goes into it, how loaded it is, and which of one's own cups holds it. */
  let { together, vessels, shelf }: { together: Together; vessels: Vessel[]; shelf: Ledger } = $props();

  interface Row {
    id: string;
    number: number;
    batch: Batch;
    cup: Cup;
    shares: ReturnType<typeof sharesOf>;
    vessel: Vessel | undefined;
    cost: number;
  }
  const rows = $derived(
    together.batches.flatMap((batch, i) =>
      batch.cups.map((cup): Row => ({
        id: cup.key,
        number: i + 1,
        batch,
        cup,
        shares: sharesOf(cup),
        vessel: vesselFor(cup.ml + cup.sandG / 2.65, vessels),
        cost: costOf(takenByCup(cup, batch.resin), shelf, shared.means!).amount,
      })),
    ),
  );
  /** What is in a cup beyond what the boards need and the cup keeps. */
  const spare = ({ makeup }: Cup): number => makeup.heldBack + makeup.surplus;
  const grams = ({ parts }: Cup): number => parts.aG + parts.bG;
  const columns: TableColumn<Row>[] = [
    { id: 'batch', head: 'no.', value: (r) => r.number, right: true },
    { id: 'cup', head: 'cup', value: (r) => r.cup.name, wraps: true },
    { id: 'ml', head: shared.write.units.volume, value: (r) => r.cup.ml, shows: (r) => shared.write.volumeFigure(r.cup.ml), right: true },
    ...(shared.write.byScale
      ? [
          {
            id: 'g',
            head: shared.write.units.weight,
            value: (r: Row) => grams(r.cup),
            shows: (r: Row) => shared.write.weightFigure(grams(r.cup)),
            right: true,
          },
        ]
      : []),
    {
      id: 'held',
      head: 'left over',
      value: (r) => spare(r.cup),
      shows: (r) => (spare(r.cup) > 0 ? shared.write.volumeFigure(spare(r.cup)) : '–'),
      right: true,
    },
    { id: 'contents', head: 'into it', value: (r) => writeContents(contentsOf(r.cup), shared.write).join(', ') || 'clear', wraps: true },
    { id: 'load', head: 'colourant', value: (r) => r.cup.load },
    { id: 'vessel', head: 'in', value: (r) => r.vessel?.name ?? 'none so large' },
    { id: 'cost', head: pricingOf(shared.settings!).currency, value: (r) => r.cost, shows: (r) => fixed(r.cost, 2), right: true },
  ];
  /** Cups asked for that there are not enough of. */
  const lacking = $derived(
    vessels.flatMap((v) => {
      const used = rows.filter((r) => r.vessel === v).length;
      return used > v.count ? [`${used} of ${v.name}, and there are ${v.count}`] : [];
    }),
  );
</script>

<Sheet title="Cups" aside={lacking.length ? `This takes ${lacking.join('; ')}.` : ''} class="min-h-60 grow">
  <DataTable name="mix-cups" label="cups" {rows} {columns} cells={{ cup, contents, load, vessel }} empty="No cups." />
</Sheet>

{#snippet cup(r: Row)}
  <span class="flex items-start gap-2">
    <span class="mt-0.5 h-4 w-5 shrink-0 rounded-[2px] border border-line" style:background-color={r.cup.colour ?? 'transparent'}></span>
    <span
      >{r.cup.name}{#if r.shares.length > 1}{#each r.shares as s, i (i)}<span class="block text-[12.5px] whitespace-nowrap text-soft"
            >{s.piece.name} {shared.write.volume(s.ml)}</span
          >{/each}{/if}</span
    >
  </span>
{/snippet}
{#snippet contents(r: Row)}
  {#each writeContents(contentsOf(r.cup), shared.write) as part, i (i)}<span class="block text-[12.5px]">{part}</span>{:else}<span
      class="text-soft">clear</span
    >{/each}
{/snippet}
{#snippet vessel(r: Row)}<span class="whitespace-nowrap {r.vessel ? '' : 'text-warn'}">{r.vessel?.name ?? 'none so large'}</span>{/snippet}
{#snippet load(r: Row)}<LoadBar load={r.cup.load} limit={r.cup.limit} />{/snippet}
