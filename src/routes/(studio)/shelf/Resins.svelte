<script lang="ts">
  import { freeId } from '#core/edit';
  import { limits, type Resin } from '#core/document';
  import { startingResin } from '#core/craft';
  import { STATED_MASS } from '#core/cure';
  import { exampleWeights, readDensity } from '#core/mix';
  import type { Means } from '#core/plan';
  import { fraction, plain, readRatio, readThickness, readWithin, writeShare, writeThickness } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';
  import Remove from './Remove.svelte';
  import { put, readName, withField } from './put';
  import { timeColumns } from './resin-times';

  /** The data sheet of each resin, line by line. Its times hold at the temperature, and for the mass, it states. */
  let { means }: { means: Means } = $props();

  const set = <K extends keyof Resin>(row: Resin, key: K, value: Resin[K] | undefined) =>
    put(`Change ${row.name}`, { table: 'resins', id: row.id, row: withField(row, key, value), was: row });

  /** Mix the working and gel times are stated for, g; 0 for a film. */
  const statedFor = (r: Resin): number => r.statedG ?? STATED_MASS;
  const dense = (key: 'densityA' | 'densityB', head: string): TableColumn<Resin> => ({
    id: key,
    head,
    value: (r) => r[key],
    shows: (r) => shared.write.density(r[key]),
    right: true,
    edit: {
      kind: 'text',
      text: (r) => shared.write.density(r[key]),
      read: (text) => readDensity(text, shared.write),
      store: (r, v) => set(r, key, v),
    },
  });

  const columns: TableColumn<Resin>[] = [
    {
      id: 'name',
      head: 'resin',
      value: (r) => r.name,
      edit: { kind: 'text', text: (r) => r.name, read: readName, store: (r, v) => set(r, 'name', v) },
    },
    {
      id: 'ratio',
      head: 'A : B',
      value: (r) => r.ratio.a / r.ratio.b,
      shows: (r) => `${plain(r.ratio.a, 3)} : ${plain(r.ratio.b, 3)}`,
      edit: {
        kind: 'text',
        text: (r) => `${plain(r.ratio.a, 3)} : ${plain(r.ratio.b, 3)}`,
        read: (text) => {
          const reading = readRatio(text);
          return reading.ok ? { ok: true, value: { a: reading.a, b: reading.b } } : reading;
        },
        store: (r, v: { a: number; b: number }) => set(r, 'ratio', { ...r.ratio, ...v }),
      },
    },
    {
      id: 'by',
      head: 'by',
      value: (r) => r.ratio.by,
      edit: {
        kind: 'choice',
        value: (r) => r.ratio.by,
        options: () => ['volume', 'weight'].map((v) => ({ value: v, label: v })),
        store: (r, by) => set(r, 'ratio', { ...r.ratio, by: by as Resin['ratio']['by'] }),
      },
    },
    dense('densityA', 'A weighs'),
    dense('densityB', 'B weighs'),
    {
      id: 'limit',
      head: 'colourant limit',
      value: (r) => r.loadLimit,
      shows: (r) => writeShare(r.loadLimit),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => writeShare(r.loadLimit),
        read: (text) => readWithin(fraction, text, limits.mostLoad, 'A limit', writeShare, '%'),
        store: (r, v) => set(r, 'loadLimit', v),
      },
    },
    {
      id: 'limitBy',
      head: 'limit counts by',
      value: (r) => r.loadLimitBy,
      edit: {
        kind: 'choice',
        value: (r) => r.loadLimitBy,
        options: () => ['weight', 'volume'].map((v) => ({ value: v, label: v })),
        store: (r, by) => set(r, 'loadLimitBy', by as Resin['loadLimitBy']),
      },
    },
    {
      id: 'viscosity',
      head: 'flows',
      value: (r) => r.viscosity,
      shows: (r) => `${writeThickness(r.viscosity)}${r.measuredOn ? ', measured' : ''}`,
      edit: {
        kind: 'text',
        text: (r) => writeThickness(r.viscosity),
        read: (text) => readThickness(text, limits.viscosity, 'A thickness'),
        // what is typed is the data sheet's again, and no longer measured
        store: (r, v: number) =>
          put(`Change ${r.name}`, { table: 'resins', id: r.id, row: withField({ ...r, viscosity: v }, 'measuredOn', undefined), was: r }),
      },
    },
    {
      id: 'film',
      head: 'one coat covers',
      value: (r) => r.film,
      shows: (r) => (r.film === undefined ? 'not stated' : `${shared.write.coverage(r.film)}, ${shared.write.film(r.film)}`),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => (r.film === undefined ? '' : shared.write.coverage(r.film)),
        read: (text) => (text.trim() ? reads.current.film(text, limits.film, 'A film') : { ok: true, value: undefined }),
        store: (r, v) => set(r, 'film', v),
      },
    },
    {
      id: 'mostFilm',
      head: 'most in one pour',
      value: (r) => r.mostFilm,
      shows: (r) => (r.mostFilm === undefined ? 'not stated' : shared.write.film(r.mostFilm)),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => (r.mostFilm === undefined ? '' : shared.write.film(r.mostFilm)),
        read: (text) => (text.trim() ? reads.current.film(text, limits.mostFilm, 'A film') : { ok: true, value: undefined }),
        store: (r, v) => set(r, 'mostFilm', v),
      },
    },
    {
      id: 'lowestC',
      head: 'hardens from',
      value: (r) => r.lowestC,
      shows: (r) => shared.write.temperature(r.lowestC),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => shared.write.temperature(r.lowestC),
        read: (text) => reads.current.temperature(text, limits.room, 'A temperature'),
        store: (r, v) => set(r, 'lowestC', v),
      },
    },
    {
      id: 'refC',
      head: 'times hold at',
      value: (r) => r.refC,
      shows: (r) => shared.write.temperature(r.refC),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => shared.write.temperature(r.refC),
        read: (text) => reads.current.temperature(text, limits.room, 'A temperature'),
        store: (r, v) => set(r, 'refC', v),
      },
    },
    {
      id: 'statedG',
      head: 'working and gel for',
      value: statedFor,
      shows: (r) => (statedFor(r) === 0 ? 'a film' : `${shared.write.weight(statedFor(r), 0)} in a cup`),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => (statedFor(r) === 0 ? 'film' : shared.write.weight(statedFor(r), 0)),
        read: (text) =>
          /^\s*(a\s+)?film\s*$/i.test(text)
            ? { ok: true, value: 0 }
            : reads.current.weight(text, { min: 5, max: limits.statedMass.max }, 'A mix in a cup'),
        store: (r, v) => set(r, 'statedG', v),
      },
    },
    ...timeColumns(set),
  ];

  function add() {
    const id = freeId('resin', means.resins);
    void put('Add a resin', { table: 'resins', id, row: { ...startingResin, id, name: 'New resin' } });
  }
  /** What would be left without it. */
  const usedBy = (r: Resin): string | undefined => {
    const piece = shared.pieces?.find((p) => p.coats.some((c) => c.resinId === r.id));
    const stock = shared.stock?.some((s) => s.of.kind === 'resin' && s.of.resinId === r.id);
    const slope = shared.slopes?.find((s) => s.resinId === r.id);
    return piece
      ? `${piece.name} is planned with it`
      : slope
        ? `the slope ${slope.name} is made in it`
        : stock
          ? 'there is a container of it'
          : undefined;
  };
</script>

<p class="border-b border-rule px-3 py-1.5 text-[13px] text-soft">
  From the maker’s data sheet. Working and gel times are mostly stated for some mass in a cup, which warms itself; say which, {shared.write.weight(
    STATED_MASS,
    0,
  )} where the sheet does not, or “film”. A density nobody states is measured in two minutes: fill one cup to a line with resin, then with water,
  weigh both without the cup, and type “{exampleWeights(shared.write)}”.
</p>
<DataTable name="resins" label="resins" rows={means.resins} {columns} {tools} {actions} empty="No resin yet." />
{#snippet tools()}<button type="button" class="chip" onclick={add}>Add a resin</button>{/snippet}
{#snippet actions(r: Resin)}
  <Remove name={r.name} used={usedBy(r)} onremove={() => put(`Remove ${r.name}`, { table: 'resins', id: r.id, row: null })} />
{/snippet}
