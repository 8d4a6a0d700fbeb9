<script lang="ts" generics="T extends { id: string }">
  import { tick, type Snippet } from 'svelte';
  import { short } from '#core/units';
  import { cellText, type TableColumn } from './columns';

  /**
   * A cell that is changed where it stands: Enter or a press opens it, Enter or leaving it stores, Escape leaves it as it
   * was. What does not read stays, with the sentence that says what would be right.
   */
  interface Props {
    column: TableColumn<T>;
    row: T;
    place: { row: number; column: number };
    cell: Snippet<[T]> | undefined;
    /** Enter stored it: on to the one below. */
    onnext: (from: HTMLElement) => void;
  }
  let { column, row, place, cell, onnext }: Props = $props();
  const id = $props.id();

  let text = $state<string>();
  let says = $state('');
  let holder = $state<HTMLElement>();
  let field = $state<HTMLInputElement | HTMLSelectElement>();
  const edit = $derived(column.edit!);
  const named = $derived(`${column.head}: ${cellText(column, row)}`);

  async function open() {
    text = edit.kind === 'text' ? edit.text(row) : edit.value(row);
    says = '';
    await tick();
    field?.focus();
    if (field instanceof HTMLInputElement) field.select();
  }
  async function close() {
    [text, says] = [undefined, ''];
    await tick();
    holder?.querySelector('button')?.focus();
  }

  /** @returns whether there is nothing left to do here */
  async function store(): Promise<boolean> {
    if (text === undefined) return true;
    const sent = text;
    if (edit.kind === 'choice') {
      if (sent === edit.value(row) || (await edit.store(row, sent)) !== false) text = undefined;
      return text === undefined;
    }
    if (sent.trim() === edit.text(row)) {
      text = undefined;
      return true;
    }
    const { read } = edit;
    // marks of a cup are a whole list
    const reading = short((typed) => read(typed, row), 2000)(sent);
    says = reading.ok ? '' : reading.says;
    if (reading.ok && (await edit.store(row, reading.value as never)) !== false && text === sent) text = undefined;
    return text === undefined;
  }

  async function keys(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.preventDefault();
      event.stopPropagation();
      await close();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (!(await store())) return;
      await tick();
      const button = holder?.querySelector('button');
      button?.focus();
      if (button) onnext(button);
    }
  }
</script>

<span bind:this={holder} class="relative block">
  {#if text === undefined}
    <button
      type="button"
      class="-mx-1 min-h-6 w-full rounded-[2px] px-1 hover:bg-paper {column.right ? 'text-right' : 'text-left'}"
      data-row={place.row}
      data-column={place.column}
      aria-label={named}
      onclick={open}
      >{#if cell}{@render cell(row)}{:else}{cellText(column, row)}{/if}</button
    >
  {:else if edit.kind === 'choice'}
    <select
      class="input min-h-7!"
      aria-label={column.head}
      bind:this={field}
      bind:value={text}
      onchange={store}
      onblur={store}
      onkeydown={keys}
      >{#each edit.options(row) as option (option.value)}<option value={option.value}>{option.label}</option>{/each}</select
    >
  {:else}
    <input
      class="input min-h-7! px-1! {column.right ? 'text-right' : ''}"
      size="6"
      aria-label={column.head}
      aria-invalid={says ? 'true' : undefined}
      aria-describedby={says ? `${id}-says` : undefined}
      autocomplete="off"
      bind:this={field}
      bind:value={text}
      onblur={store}
      onkeydown={keys}
    />
    {#if says}<span
        id="{id}-says"
        role="alert"
        class="sheet absolute top-full z-20 mt-0.5 w-64 p-2 text-left text-[13px] whitespace-normal text-buoy {column.right
          ? 'right-0'
          : 'left-0'}">{says}</span
      >{/if}
  {/if}
</span>
