<script lang="ts">
  import { limits, type DressedWhen, type Dressing, type DressingKind } from '#core/document';
  import { withDressing, withDressingChanged, withoutDressing } from '#core/edit';
  import type { PiecePlan } from '#core/plan';
  import { focusOn } from '$lib/ui/focus';
  import LengthField from '$lib/ui/LengthField.svelte';
  import type { Drawing } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';

  /** What is set on the board: its kind, size and height, and when it goes on. */
  let { editor, plan, drawing }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing } = $props();

  const kinds: DressingKind[] = ['shell', 'stone', 'crystal', 'glass', 'creature'];
  const times: DressedWhen[] = ['before resin', 'on the wet base', 'after the wave', 'between coats'];
  const chosen = $derived((plan.piece.dressings ?? []).find((d) => d.id === drawing.dressing) ?? plan.piece.dressings?.at(-1));
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
  {#each kinds as kind (kind)}<button type="button" class="chip" data-focus="set {kind}" onclick={() => add(kind)}>{kind}</button>{/each}
  {#if !chosen}<span class="text-soft">on the board, then drag it to its place.</span>{/if}
</div>
{#if chosen}
  <div class="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
    {#key chosen.id}
      <strong>{chosen.kind}</strong>
      <LengthField label="across" value={chosen.size} range={limits.dressing} what="A size" commit={(size) => set({ size })} />
      <LengthField label="high" value={chosen.height} range={limits.dressingHeight} what="A height" commit={(height) => set({ height })} />
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
          const { id, kind } = chosen;
          void editor.commit('Take a dressing off', (p) => withoutDressing(p, id)).then(() => focusOn(`set ${kind}`));
        }}>Take it off</button
      >
    {/key}
  </div>
{/if}
