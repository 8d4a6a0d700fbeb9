<script lang="ts">
  import { CALENDAR } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { minutes } from '$lib/ui/clock.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import Away from './Away.svelte';
  import NoResin from './NoResin.svelte';
  import Pieces from './Pieces.svelte';
  import Week from './Week.svelte';

  /** What the calendar goes by: the artist's hours, what takes from them, when resin must not be out, and what is promised. */
  const diary = $derived(shared.diary ?? []);
  const pieces = $derived(
    [...(shared.pieces ?? [])].sort((a, b) => (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9') || a.name.localeCompare(b.name)),
  );
</script>

<svelte:head><title>Your hours · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 p-4 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px]">Your hours and promises</h1>
    <div class="ml-auto flex flex-wrap gap-2">
      <UndoRedo scope={CALENDAR} /><a class="button" href="/room">Room and places</a><a class="button button-main" href="/calendar"
        >To the calendar</a
      >
    </div>
  </div>
  {#if shared.diary}
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,270px)_minmax(0,330px)_minmax(0,1fr)]">
      <Sheet title="Your week" aside="as 17–22, or “away”"
        ><div class="min-h-0 grow overflow-y-auto"><Week {diary} now={minutes.now} /></div></Sheet
      >
      <div class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
        <Sheet title="Busy" aside="your hands are elsewhere" class="shrink-0"><Away {diary} now={minutes.now} /></Sheet>
        <Sheet title="No resin out" aside="nothing laid, nothing tacky" class="shrink-0"><NoResin {diary} now={minutes.now} /></Sheet>
      </div>
      <Sheet title="Pieces and promises"><div class="min-h-0 grow overflow-y-auto"><Pieces {diary} {pieces} /></div></Sheet>
    </div>
  {/if}
</main>
