<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { abandonPour } from '$lib/store/pours';
  import { attempt } from '$lib/ui/attempt';
  import BenchDialog from './BenchDialog.svelte';

  /** A pour started by mistake, or given up, with the reason; what was recorded of it stays in the log. */
  let { open = $bindable(), pourId, mixed }: { open: boolean; pourId: string; mixed: boolean } = $props();

  let why = $state('');
  let asked = $state(false);
  async function abandon(event: SubmitEvent) {
    event.preventDefault();
    asked = true;
    if (!why.trim()) return;
    if (!(await attempt(() => abandonPour(pourId, why.trim())))) return;
    open = false;
    await goto(`/log/${pourId}`);
  }
</script>

<BenchDialog
  bind:open
  title="Abandon this pour"
  says="The piece stands as before, and the pour stays in the log with its reason. {mixed
    ? 'What was mixed is off the shelf all the same.'
    : 'Nothing was mixed, so nothing leaves the shelf.'}"
>
  <form onsubmit={abandon} novalidate>
    <label class="mt-3 block text-nightsoft"
      >Why
      <input
        class="mt-1 block min-h-16 w-full rounded-[5px] border border-nightline bg-night px-3 text-[18px] text-nighttext"
        maxlength="400"
        placeholder="the wrong board"
        bind:value={why}
        aria-invalid={asked && !why.trim() ? 'true' : undefined}
      /></label
    >
    {#if asked && !why.trim()}<p class="mt-1 text-[#f0a08a]" role="alert">Give a reason in a few words, as in “the wrong board”.</p>{/if}
    <div class="mt-3 flex justify-end gap-3">
      <Dialog.Close type="button" class="button-bench">Go on pouring</Dialog.Close>
      <button type="submit" class="button-bench button-bench-main">Abandon it</button>
    </div>
  </form>
</BenchDialog>
