<script lang="ts">
  import { tinykeys } from 'tinykeys';
  import { redo, undo, undoable } from '$lib/store/edits';
  import { Live } from '$lib/store/live.svelte';
  import { attempt } from './attempt';

  /** Undo and redo of what is edited in one scope, which may be a piece, by button and by key. */
  let { scope }: { scope: string } = $props();

  const steps = new Live(() => undoable(scope));
  const typing = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement || event.target instanceof HTMLTextAreaElement;
  const on = (does: (scope: string) => Promise<void>) => (event: KeyboardEvent) => {
    if (typing(event)) return;
    event.preventDefault();
    void attempt(() => does(scope));
  };
  $effect(() => tinykeys(window, { '$mod+z': on(undo), '$mod+Shift+z': on(redo), '$mod+y': on(redo) }));
  const ways = [
    { name: 'Undo', does: undo, what: () => steps.current?.undo },
    { name: 'Redo', does: redo, what: () => steps.current?.redo },
  ];
</script>

{#each ways as { name, does, what } (name)}
  <button type="button" class="button button-quiet" disabled={!what()} title={what()} onclick={() => attempt(() => does(scope))}
    >{name}</button
  >
{/each}
