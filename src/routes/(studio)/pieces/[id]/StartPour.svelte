<script lang="ts">
  import { onMount, type Component, type ComponentProps } from 'svelte';
  import { page } from '$app/state';
  import type { PiecePlan } from '#core/plan';
  import type { Standing } from '#core/record';
  import { attempt } from '$lib/ui/attempt';
  import type StartDialog from './StartDialog.svelte';

  /** Starts a pour, once its questions have been answered; the dialog is fetched when it is first asked for. */
  interface Props {
    plan: PiecePlan;
    standing: Standing;
    /** The pour that is looked at. */
    looked: number;
  }
  let { plan, standing, looked }: Props = $props();

  /** The next that has something to pour; the one looked at where all are poured. */
  const offered = $derived.by(() => {
    const next = standing.next?.pour;
    const mixed = next === undefined ? -1 : plan.pours.findIndex((p, i) => i >= next && p.batches.length > 0);
    return mixed < 0 ? looked : mixed;
  });
  let Asking = $state.raw<Component<ComponentProps<typeof StartDialog>, object, 'open'>>();
  let open = $state(false);
  const ask = () =>
    attempt(async () => {
      Asking = (await import('./StartDialog.svelte')).default;
      open = true;
    });
  // another screen sent here to begin
  onMount(() => page.url.searchParams.has('start') && void ask());
</script>

<button type="button" class="button {standing.next ? 'button-main' : ''}" disabled={!plan.pours.some((p) => p.batches.length)} onclick={ask}
  >{standing.next ? 'Start the pour' : 'Pour it again'}</button
>
{#if Asking}<Asking bind:open {plan} {standing} {offered} />{/if}
