<script lang="ts">
  import type { Component, ComponentProps } from 'svelte';
  import type { Piece } from '#core/document';
  import type { PourPlan } from '#core/plan';
  import { attempt } from '$lib/ui/attempt';
  import type StartDialog from './StartDialog.svelte';

  /** Starts a pour, once its question has been answered; the dialog is fetched when it is first asked for. */
  let { piece, pour, number, again }: { piece: Piece; pour: PourPlan; number: number; again: boolean } = $props();

  let Asking = $state.raw<Component<ComponentProps<typeof StartDialog>, object, 'open'>>();
  let open = $state(false);
  const ask = () =>
    attempt(async () => {
      Asking = (await import('./StartDialog.svelte')).default;
      open = true;
    });
</script>

<button type="button" class="button {again ? '' : 'button-main'}" disabled={!pour.batches.length} onclick={ask}
  >{again ? 'Pour it again' : 'Start the pour'}</button
>
{#if Asking}<Asking bind:open {piece} {pour} {number} />{/if}
