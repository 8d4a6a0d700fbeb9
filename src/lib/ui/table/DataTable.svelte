<script lang="ts" generics="T extends { id: string }">
  import {
    columnFilteringFeature,
    createFilteredRowModel,
    createSortedRowModel,
    createTable,
    globalFilteringFeature,
    rowSortingFeature,
    tableFeatures,
    type SortingState,
    type Updater,
  } from '@tanstack/svelte-table';
  import { onMount, untrack, type Snippet } from 'svelte';
  import { keepTable, readTable } from '$lib/store/tables';
  import Scrolled from '../Scrolled.svelte';
  import { cellText, type TableColumn } from './columns';
  import TableCell from './TableCell.svelte';

  /**
   * A table that sorts by its heads, filters by what is typed, is changed where it stands, and comes back as it was left.
   * Arrow keys go from cell to cell; Enter changes one.
   */
  interface Props {
    /** Under which its order and filter are kept. */
    name: string;
    label: string;
    rows: T[];
    columns: TableColumn<T>[];
    /** Cells that are more than text, by their column. */
    cells?: Record<string, Snippet<[T]>>;
    /** What stands at the end of each row. */
    actions?: Snippet<[T]>;
    /** Beside the filter. */
    tools?: Snippet;
    empty: string;
    marked?: (row: T) => boolean;
  }
  let { name, label, rows, columns, cells = {}, actions, tools, empty, marked }: Props = $props();

  /** More rows than this are shown when they are asked for. */
  const SHOWN = 200;
  const features = tableFeatures({
    rowSortingFeature,
    columnFilteringFeature,
    globalFilteringFeature,
    filteredRowModel: createFilteredRowModel(),
    sortedRowModel: createSortedRowModel(),
  });
  const order = (a: string | number | undefined, b: string | number | undefined): number =>
    typeof a === 'number' && typeof b === 'number' ? a - b : String(a ?? '').localeCompare(String(b ?? ''), 'en', { numeric: true });

  let sorting = $state.raw<SortingState>([]);
  let filter = $state('');
  let all = $state(false);
  let body = $state<HTMLElement>();
  let read = $state(false);

  onMount(async () => {
    const kept = await readTable(name);
    if (kept) [sorting, filter] = [kept.sorting, kept.filter];
    read = true;
  });
  $effect(() => {
    const state = { sorting: [...sorting], filter };
    if (untrack(() => read)) void keepTable(name, state);
  });

  const table = createTable({
    features,
    columns: untrack(() => columns).map((column) => ({
      id: column.id,
      accessorFn: (row: T) => column.value(row),
      sortUndefined: 'last' as const,
      sortFn: (a: { getValue: (id: string) => unknown }, b: { getValue: (id: string) => unknown }, id: string) =>
        order(a.getValue(id) as number, b.getValue(id) as number),
    })),
    get data() {
      return rows;
    },
    getRowId: (row: T) => row.id,
    state: {
      get sorting() {
        return sorting;
      },
      get globalFilter() {
        return filter;
      },
    },
    onSortingChange: (next: Updater<SortingState>) => (sorting = typeof next === 'function' ? next(sorting) : next),
    getColumnCanGlobalFilter: () => true,
    // what is looked for may stand in any cell, as it is written there
    globalFilterFn: (row: { original: T }, _: string, wanted: string) =>
      columns.some((column) => cellText(column, row.original).toLowerCase().includes(String(wanted).trim().toLowerCase())),
  });
  // the table wraps what it is given; what is stored must be the rows themselves
  const byId = $derived(new Map(rows.map((row) => [row.id, row])));
  const found = $derived(table.getRowModel().rows.flatMap((row) => byId.get(row.id) ?? []));
  const shown = $derived(all ? found : found.slice(0, SHOWN));
  const sortOf = (id: string) => sorting.find((s) => s.id === id);
  const said = (id: string) => (sortOf(id) ? (sortOf(id)!.desc ? 'descending' : 'ascending') : 'none');

  /** The cell beside or below the one that has the keyboard. */
  function step(event: KeyboardEvent) {
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    const at = (event.target as HTMLElement).closest<HTMLElement>('[data-row]');
    if (!by || !at || event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
    event.preventDefault();
    move(at, by[0]!, by[1]!);
  }
  function move(from: HTMLElement, down: number, across: number) {
    let [row, column] = [Number(from.dataset['row']), Number(from.dataset['column'])];
    // a column that is only read is passed over
    for (let tries = 0; tries < columns.length; tries++) {
      [row, column] = [row + down, column + across];
      const next = body?.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`);
      if (next) {
        next.focus();
        return;
      }
      if (down) return;
    }
  }
</script>

<div class="flex min-h-0 grow flex-col">
  <div class="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-1.5">
    <input class="input min-h-7! w-48!" type="search" placeholder="Filter" aria-label="Filter {label}" bind:value={filter} />
    <p class="text-[13px] text-soft" role="status">
      {found.length === rows.length ? `${rows.length}` : `${found.length} of ${rows.length}`}
    </p>
    <div class="ml-auto flex flex-wrap gap-2">{@render tools?.()}</div>
  </div>
  <Scrolled {label} class="relative min-h-0 grow">
    <table class="stacked w-full">
      <thead>
        <tr
          class="text-left text-[13px] text-soft [&>th]:sticky [&>th]:top-0 [&>th]:z-10 [&>th]:bg-sheet [&>th]:px-1.5 [&>th]:py-1 [&>th:first-child]:pl-3 [&>th]:font-normal"
        >
          {#each columns as column (column.id)}
            <th scope="col" aria-sort={said(column.id)} class={column.right ? 'text-right' : ''}>
              <button
                type="button"
                class="whitespace-nowrap hover:text-ink {sortOf(column.id) ? 'font-bold text-ink' : ''}"
                onclick={() => table.getColumn(column.id)?.toggleSorting()}
                >{column.head}{#if sortOf(column.id)}<span aria-hidden="true"> {sortOf(column.id)!.desc ? '↓' : '↑'}</span>{/if}</button
              >
            </th>
          {/each}
          {#if actions}<th><span class="sr-only">What can be done</span></th>{/if}
        </tr>
      </thead>
      <!-- arrow keys step between cells that are buttons already -->
      <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
      <tbody bind:this={body} onkeydown={step}>
        {#each shown as row, r (row.id)}
          <tr
            class="border-t border-rule align-baseline {marked?.(row)
              ? 'bg-warnground'
              : ''} [&>td]:px-1.5 [&>td]:py-[3px] [&>td:first-child]:pl-3"
          >
            {#each columns as column, c (column.id)}
              {@const cell = cells[column.id]}
              <td
                data-head={c > 0 ? column.head : undefined}
                class="{column.right ? 'text-right' : ''} {column.wraps ? 'wide min-w-32' : 'whitespace-nowrap'}"
              >
                {#if column.edit}<TableCell {column} {row} place={{ row: r, column: c }} {cell} onnext={(at) => move(at, 1, 0)} />
                {:else if cell}{@render cell(row)}
                {:else}{cellText(column, row)}{/if}
              </td>
            {/each}
            {#if actions}<td class="wide text-right whitespace-nowrap">{@render actions(row)}</td>{/if}
          </tr>
        {/each}
      </tbody>
    </table>
    {#if !rows.length}<p class="p-3 text-soft">{empty}</p>
    {:else if !found.length}<p class="p-3 text-soft">Nothing here has “{filter}” in it.</p>{/if}
    {#if found.length > shown.length}
      <button type="button" class="button button-quiet m-2" onclick={() => (all = true)}>Show all {found.length}</button>
    {/if}
  </Scrolled>
</div>
