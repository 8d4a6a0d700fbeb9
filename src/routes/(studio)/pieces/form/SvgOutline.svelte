<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { onDestroy } from 'svelte';
  import { limits, type Outline, type Settings } from '#core/document';
  import { bounds, outlineArea } from '#core/geometry';
  import { length, readWithin } from '#core/units';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { svgWork, type SvgOpened, type SvgOutlined, type SvgSummary } from '$lib/work/svg';
  import type { Own } from '#core/formats';

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
  /** Whether it has taken so long that a way out is offered. */
  let long = $state(false);
  let says = $state<string>();
  let drawing = $state.raw<SvgSummary>();
  let width = $state('');
  let which = $state<'all' | 'largest'>('all');
  const write = (mm: number): string => shared.write.length(mm);
  const read = (text: string) => readWithin(length, text, limits.side, 'A width', write, settings.length);

  const LONG = 2000;
  let stop: (() => void) | undefined;
  /** Waits for the worker, which may be ended meanwhile. */
  async function waiting<T>(work: Promise<T>): Promise<T | undefined> {
    busy = true;
    const timer = setTimeout(() => (long = true), LONG);
    const found = await Promise.race([work, new Promise<undefined>((end) => (stop = () => end(undefined)))]);
    clearTimeout(timer);
    [busy, long] = [false, false];
    return found;
  }
  function cancel() {
    reader?.end();
    reader = undefined;
    drawing = undefined;
    says = 'The drawing was not read. Simplify it in your drawing program, or choose another.';
    stop?.();
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    says = undefined;
    drawing = undefined;
    try {
      const text = await file.text();
      reader ??= svgWork();
      const opened = await waiting(reader.work.open(text) as Promise<SvgOpened>);
      if (!opened) return;
      if (!opened.ok) says = opened.says;
      else {
        drawing = opened.drawing;
        width = drawing.mmPerUnit ? write(Math.round(drawing.width * drawing.mmPerUnit * 100) / 100) : '';
        await make();
      }
    } catch {
      says = 'This file could not be read. Save the outline as plain SVG and try again.';
    }
    // the same file may be chosen again, once it was changed
    input.value = '';
  }

  async function make() {
    const reading = read(width);
    if (!drawing || !reading.ok || !reader) return;
    const made = await waiting(reader.work.outline(reading.value, which) as Promise<SvgOutlined>);
    if (!made) return;
    says = made.ok ? undefined : made.says;
    if (!made.ok) return;
    const { height } = bounds(made.outline);
    if (height > limits.side.max || height < limits.side.min)
      says = `At that width it is ${write(height)} high; a board is ${write(limits.side.min)} to ${write(limits.side.max)}.`;
    else outline = made.outline;
  }
</script>

<div class="flex flex-col gap-2">
  <label for={id} class="block text-[13px] font-semibold">SVG file</label>
  <input {id} type="file" accept=".svg,image/svg+xml" class="text-[13px]" onchange={open} aria-describedby="{id}-says" />
  <p id="{id}-says" class="text-[13px] {says ? 'text-buoy' : 'text-soft'}" role={says ? 'alert' : 'status'} aria-busy={busy}>
    {#if long}This drawing takes long to read; wait, or choose a simpler one.{:else if busy}Reading the drawing.{:else if says}{says}{:else if outline}{@const b =
        bounds(outline)}Outline of {write(b.width)} × {write(b.height)}, {shared.write.area(outlineArea(outline))}.{:else}A path, or any
      closed shapes. One inside another is an opening.{/if}
  </p>
  {#if long}<button type="button" class="button self-start" onclick={cancel}>Stop reading it</button>{/if}
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
