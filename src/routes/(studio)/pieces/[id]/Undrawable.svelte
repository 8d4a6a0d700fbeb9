<script lang="ts">
  import type { Piece } from '#core/document';
  import { withStartingSea } from '#core/edit';
  import { shared } from '$lib/store/shared.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** A piece whose curves are too tangled to be cut: what is wrong, and the ways on. */
  let { editor, piece }: { editor: PieceEditor; piece: Piece } = $props();

  const drawOpenSea = () => editor.commit('Draw open sea', (p) => withStartingSea(p, 'open sea', shared.means!));
</script>

<main class="p-4">
  <div class="sheet p-8">
    <h1 class="text-[22px]">{piece.name} cannot be drawn</h1>
    <p class="mt-2 text-soft">{editor.trouble} Nothing else of it is lost.</p>
    <div class="mt-4 flex flex-wrap gap-2">
      <button type="button" class="button" disabled={!editor.undoable.undo} onclick={() => editor.undo()}>Undo the last change</button>
      <button type="button" class="button" onclick={drawOpenSea}>Start from another sea</button>
      <a class="button" href="/pieces">All pieces</a>
    </div>
  </div>
</main>
