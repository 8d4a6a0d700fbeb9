<script lang="ts">
  import { freeId } from '#core/edit';
  import { limits, type Vessel } from '#core/document';
  import { exampleMarks, readMarks, writeMarks } from '#core/mix';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';
  import Remove from './Remove.svelte';
  import { put, readBare, readName, withField } from './put';

  /** Cups of one's own, which the plan takes for its batches, and moulds that take what is left over. */
  let { vessels }: { vessels: Vessel[] } = $props();

  const set = <K extends keyof Vessel>(row: Vessel, key: K, value: Vessel[K] | undefined) =>
    put(`Change ${row.name}`, { table: 'vessels', id: row.id, row: withField(row, key, value), was: row });
  const ml = (v: number): string => shared.write.volume(v);

  const columns: TableColumn<Vessel>[] = [
    {
      id: 'name',
      head: 'name',
      value: (v) => v.name,
      edit: { kind: 'text', text: (v) => v.name, read: readName, store: (v, to) => set(v, 'name', to) },
    },
    {
      id: 'use',
      head: 'used as',
      value: (v) => v.use,
      edit: {
        kind: 'choice',
        value: (v) => v.use,
        options: () => ['cup', 'mould'].map((u) => ({ value: u, label: u })),
        store: (v, to) => set(v, 'use', to as Vessel['use']),
      },
    },
    {
      id: 'holds',
      head: 'holds',
      value: (v) => v.holds,
      shows: (v) => ml(v.holds),
      right: true,
      edit: {
        kind: 'text',
        text: (v) => ml(v.holds),
        read: (text, v) => {
          const reading = reads.current.volume(text, limits.vessel, 'A cup');
          const top = v.marks?.at(-1)?.ml ?? 0;
          return reading.ok && reading.value * 1.01 < top
            ? { ok: false, says: `Its highest mark is at ${ml(top)}. Give what it holds to the brim, or change the marks first.` }
            : reading;
        },
        store: (v, to) => set(v, 'holds', to),
      },
    },
    {
      id: 'count',
      head: 'how many',
      value: (v) => v.count,
      right: true,
      edit: {
        kind: 'text',
        text: (v) => String(v.count),
        read: (text) => {
          const reading = readBare({ min: 1, max: 999 }, 'A count', 0)(text);
          return reading.ok && !Number.isInteger(reading.value) ? { ok: false, says: 'Give a whole number, 1 to 999.' } : reading;
        },
        store: (v, to) => set(v, 'count', to),
      },
    },
    {
      id: 'step',
      head: 'lines apart',
      value: (v) => v.step,
      shows: (v) => (v.step ? ml(v.step) : 'no lines'),
      right: true,
      edit: {
        kind: 'text',
        text: (v) => (v.step ? ml(v.step) : ''),
        read: (text) => (text.trim() ? reads.current.volume(text, limits.lines, 'A step') : { ok: true, value: undefined }),
        store: (v, to) => set(v, 'step', to),
      },
    },
    {
      id: 'marks',
      head: 'marked with water',
      wraps: true,
      value: (v) => v.marks?.length ?? 0,
      shows: (v) => (v.marks?.length ? writeMarks(v.marks, shared.write) : 'not marked'),
      edit: {
        kind: 'text',
        text: (v) => writeMarks(v.marks ?? [], shared.write),
        read: (text, v) => readMarks(text, v.holds, shared.write),
        store: (v, to: Vessel['marks']) => set(v, 'marks', to?.length ? to : undefined),
      },
    },
  ];

  function add() {
    const id = freeId('cup', vessels);
    void put('Add a cup', { table: 'vessels', id, row: { id, name: 'New cup', use: 'cup', holds: 200, count: 1 } });
  }
</script>

<p class="border-b border-rule px-3 py-1.5 text-[13px] text-soft">
  Any cup becomes a measuring cup: pour water into it on a scale, draw its level, and type each with its height, “{exampleMarks(
    shared.write,
  )}”. Then every batch shows how high to fill it.
</p>
<DataTable name="vessels" label="cups and moulds" rows={vessels} {columns} {tools} {actions} empty="No cup yet: add the ones you mix in." />
{#snippet tools()}<button type="button" class="chip" onclick={add}>Add a cup</button>{/snippet}
{#snippet actions(v: Vessel)}
  <Remove name={v.name} onremove={() => put(`Remove ${v.name}`, { table: 'vessels', id: v.id, row: null })} />
{/snippet}
