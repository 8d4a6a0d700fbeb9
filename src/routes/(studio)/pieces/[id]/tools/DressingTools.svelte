<script lang="ts">
  import {
    limits,
    withDressing,
    withDressingChanged,
    withoutDressing,
    type DressedWhen,
    type Dressing,
    type DressingKind,
  } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { length, readWithin, writeLength } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import type { Drawing } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';

  /** What is set on the board: its kind, size and height, and when it goes on. */
  let { editor, plan, drawing }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing } = $props();

  const unit = $derived(shared.settings?.length ?? 'mm');
  const kinds: DressingKind[] = ['shell', 'stone', 'crystal', 'glass', 'creature'];
  const times: DressedWhen[] = ['before resin', 'on the wet base', 'after the wave', 'between coats'];
  const chosen = $derived((plan.piece.dressings ?? []).find((d) => d.id === drawing.dressing) ?? plan.piece.dressings?.at(-1));
  const write = (mm: number): string => writeLength(mm, unit);
  const set = (change: Partial<Dressing>) => {
    const id = chosen!.id;
    return editor.commit('Change a dressing', (p) => withDressingChanged(p, id, change));
  };
  async function add(kind: DressingKind) {
    await editor.commit(`Add a ${kind}`, (p) => withDressing(p, kind));
    drawing.dressing = editor.piece?.dressings?.at(-1)?.id;
  }
</script>

<div class="flex flex-wrap items-center gap-x-2 gap-y-1">
  <span class="text-soft">Set a</span>
  {#each kinds as kind (kind)}<button
      type="button"
      class="rounded-sheet border border-line px-2 py-0.5 hover:border-ink"
      onclick={() => add(kind)}>{kind}</button
    >{/each}
  {#if !chosen}<span class="text-soft">on the board, then drag it to its place.</span>{/if}
</div>
{#if chosen}
  <div class="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
    {#key chosen.id}
      <strong>{chosen.kind}</strong>
      <LiveField
        narrow
        tight
        label="across"
        value={chosen.size}
        shows={write(chosen.size)}
        read={(t) => readWithin(length, t, limits.dressing, 'A size', write, unit)}
        commit={(size) => set({ size })}
      />
      <LiveField
        narrow
        tight
        label="high"
        value={chosen.height}
        shows={write(chosen.height)}
        read={(t) => readWithin(length, t, limits.dressingHeight, 'A height', write, unit)}
        commit={(height) => set({ height })}
      />
      <label class="flex items-center gap-1"
        ><span class="text-soft">goes on</span>
        <select
          class="rounded-sheet border border-line bg-paper"
          value={chosen.when}
          onchange={(e) => set({ when: e.currentTarget.value as DressedWhen })}
          >{#each times as t (t)}<option value={t}>{t}</option>{/each}</select
        ></label
      >
      <button
        type="button"
        class="underline"
        onclick={() => {
          const id = chosen.id;
          void editor.commit('Take a dressing off', (p) => withoutDressing(p, id));
        }}>Take it off</button
      >
    {/key}
  </div>
{/if}
