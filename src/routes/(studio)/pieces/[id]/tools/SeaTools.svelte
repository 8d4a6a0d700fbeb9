<script lang="ts">
  import { startingSeas, type StartingSea } from '#core/craft';
  import { seaMisfit, withParts, withSeaOf, withSide, withStartingSea, acrossRow, meetingNeighbours, rowOf } from '#core/edit';
  import type { Side } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { editPieces } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import type { PieceEditor } from '../editor.svelte';

  /** The sea as a whole: one to start from, another piece's, its side, its parts, and the row it runs across. */
  let { editor, plan }: { editor: PieceEditor; plan: PiecePlan } = $props();

  const piece = $derived(plan.piece);
  const others = $derived((shared.pieces ?? []).filter((p) => p.id !== piece.id));
  const row = $derived(rowOf(piece, shared.pieces ?? []));
  const sides: { value: Side; label: string }[] = [
    { value: 'far', label: 'near side' },
    { value: 'near', label: 'far side' },
    { value: 'right', label: 'left' },
    { value: 'left', label: 'right' },
  ];

  /** Why the sea that was asked for last was not drawn. */
  let misfit = $state<string>();
  function begin(name: StartingSea) {
    misfit = seaMisfit(name, piece, piece.sea.edges.length + 1, piece.sea.side);
    const { means } = plan;
    if (!misfit) void editor.commit(`Draw ${name}`, (p) => withStartingSea(p, name, means));
  }

  function copy(event: Event & { currentTarget: HTMLSelectElement }) {
    const other = others.find((p) => p.id === event.currentTarget.value);
    event.currentTarget.value = '';
    if (other) void editor.commit(`Copy the sea of ${other.name}`, (p) => withSeaOf(p, other));
  }

  async function spread() {
    const next = acrossRow(piece, shared.pieces ?? []);
    await attempt(() =>
      editPieces(
        'Run one sea across the row',
        next.map(({ id, sea, coats }) => ({
          id,
          change: (p) => ({ ...p, sea, coats: p.coats.map((c) => coats.find((d) => d.id === c.id) ?? c) }),
        })),
      ),
    );
    editor.drop();
  }
</script>

<div class="flex flex-wrap items-center gap-x-2 gap-y-1">
  <span class="text-soft">Start from</span>
  {#each startingSeas as s (s.name)}
    <button type="button" class="chip" title={s.says} onclick={() => begin(s.name)}>{s.name}</button>
  {/each}
  <label class="flex items-center gap-1"
    ><span class="text-soft">or the sea of</span>
    <select class="rounded-sheet border border-line bg-paper" onchange={copy} value=""
      ><option value="">another piece</option>{#each others as p (p.id)}<option value={p.id}>{p.name}</option>{/each}</select
    ></label
  >
</div>
{#if misfit}<p class="mt-1 text-buoy" role="alert">{misfit}</p>{/if}
<div class="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
  <label class="flex items-center gap-1"
    ><span class="text-soft">beach at the</span>
    <select
      class="rounded-sheet border border-line bg-paper"
      value={piece.sea.side}
      onchange={(e) => {
        const side = e.currentTarget.value as Side;
        void editor.commit('Turn the beach', (p) => withSide(p, side));
      }}
      >{#each sides as s (s.value)}<option value={s.value}>{s.label}</option>{/each}</select
    ></label
  >
  <label class="flex items-center gap-1"
    ><span class="text-soft">tints</span>
    <select
      class="rounded-sheet border border-line bg-paper"
      value={piece.sea.edges.length + 1}
      onchange={(e) => {
        const n = Number(e.currentTarget.value);
        void editor.commit(`Part the sea in ${n}`, (p) => withParts(p, n));
      }}
      >{#each [1, 2, 3, 4, 5, 6, 7, 8] as n (n)}<option value={n}>{n}</option>{/each}</select
    ></label
  >
  {#if row.length > 1}
    <button
      type="button"
      class="underline"
      onclick={() => editor.commit('Meet the neighbours', (p) => meetingNeighbours(p, shared.pieces ?? []))}>Meet the neighbours</button
    >
    <button type="button" class="underline" onclick={spread}>Run this sea across the row of {row.length}</button>
  {:else}<span class="text-soft">A row of pieces that share one shore is set under Board.</span>{/if}
</div>
