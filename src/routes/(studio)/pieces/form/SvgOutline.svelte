<script lang="ts">
  import { onDestroy } from 'svelte';
  import { limits, type Outline, type Settings } from '#core/document';
  import { bounds, outlineArea } from '#core/geometry';
  import { length, plain, readWithin, writeLength } from '#core/units';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { svgWork, type SvgSummary } from '$lib/work/svg';
  import type { Own } from './own';

  /** An outline from an SVG file, scaled by the one width that is known. The file is read aside, so that a large one does not hold up the form. */
  interface Props {
    outline: Outline | undefined;
    settings: Settings;
    onown: (own: Own) => void;
  }
  let { outline = $bindable(), settings, onown }: Props = $props();

  const id = $props.id();
  let reader: ReturnType<typeof svgWork> | undefined;
  onDestroy(() => reader?.end());

  let busy = $state(false);
  let says = $state<string>();
  let drawing = $state.raw<SvgSummary>();
  let width = $state('');
  let which = $state<'all' | 'largest'>('all');
  const write = (mm: number): string => writeLength(mm, settings.length);
  const read = (text: string) => readWithin(length, text, limits.side, 'A width', write, settings.length);

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    busy = true;
    says = undefined;
    drawing = undefined;
    try {
      reader ??= svgWork();
      const opened = await reader.work.open(await file.text());
      if (!opened.ok) says = opened.says;
      else {
        drawing = opened.drawing;
        width = drawing.mmPerUnit ? write(Math.round(drawing.width * drawing.mmPerUnit * 100) / 100) : '';
        await make();
      }
    } catch {
      says = 'This file could not be read. Save the outline as plain SVG and try again.';
    }
    busy = false;
  }

  async function make() {
    const reading = read(width);
    if (!drawing || !reading.ok || !reader) return;
    try {
      const made = await reader.work.outline(reading.value, which);
      const { height } = bounds(made);
      if (height > limits.side.max || height < limits.side.min)
        says = `At that width it is ${write(height)} high; a board is ${write(limits.side.min)} to ${write(limits.side.max)}.`;
      else {
        says = undefined;
        outline = made;
      }
    } catch {
      says = 'Nothing is left of this outline at that width. Give a larger one.';
    }
  }
</script>

<div class="flex flex-col gap-2">
  <label for={id} class="block text-[13px] font-semibold">SVG file</label>
  <input {id} type="file" accept=".svg,image/svg+xml" class="text-[13px]" onchange={open} aria-describedby="{id}-says" />
  <p id="{id}-says" class="text-[13px] {says ? 'text-buoy' : 'text-soft'}" role={says ? 'alert' : 'status'} aria-busy={busy}>
    {#if busy}Reading the drawing.{:else if says}{says}{:else if outline}{@const b = bounds(outline)}Outline of {write(b.width)} × {write(
        b.height,
      )}, {plain(outlineArea(outline) / 100, 0)} cm².{:else}A path, or any closed shapes. One inside another is an opening.{/if}
  </p>
  {#each drawing?.notes ?? [] as note (note)}<p class="text-[13px] text-soft">{note}</p>{/each}
  {#if drawing}
    {#if drawing.own}
      <button type="button" class="button self-start" onclick={() => onown(drawing!.own!)}>Take its shape and its sea as they are</button>
    {/if}
    <Field
      label="It is this wide"
      bind:text={width}
      {read}
      commit={() => make()}
      hint={drawing.mmPerUnit ? 'As the file says; change it to scale the outline.' : 'The one dimension you know; the rest follows.'}
    />
    {#if drawing.closed > 1}
      <Choice
        label="Take"
        bind:value={which}
        options={[
          { value: 'all', label: `all ${drawing.closed} shapes` },
          { value: 'largest', label: 'the largest alone' },
        ]}
        onchange={make}
      />
    {/if}
  {/if}
</div>
