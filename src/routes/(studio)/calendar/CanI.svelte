<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { sayDay } from '#core/air';
  import type { FirstDates } from '#core/calendar';
  import { setLeftOut, setPromise } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import DayInput from '$lib/ui/DayInput.svelte';
  import { firstDatesOf } from '$lib/work/calendar';
  import type { Task } from '$lib/work/task';
  import { zone } from '$lib/zone';

  /** "Can I promise it?": the first dates for a piece, each as a range, and by when each thing must begin for a day. */
  let { open = $bindable(), pieceId }: { open: boolean; pieceId?: string | undefined } = $props();

  const poured = $derived(new Set(shared.summaries?.flatMap((s) => (s.abandoned ? [] : s.of.flatMap((o) => o.coatIds))) ?? []));
  const pieces = $derived((shared.pieces ?? []).filter((p) => p.coats.some((c) => !c.lies && !poured.has(c.id))));
  let asked = $state<string>();
  const chosen = $derived(pieces.find((p) => p.id === (asked ?? pieceId)) ?? pieces[0]);
  let dates = $state.raw<FirstDates>();
  let share = $state(0);
  let looking: Task<FirstDates> | undefined;

  $effect(() => {
    const id = open && chosen ? chosen.id : undefined;
    dates = undefined;
    share = 0;
    if (!id) return;
    looking = firstDatesOf(studioCalendar.when, id, (_, s = 0) => (share = s));
    void looking.done.then(
      (found) => (dates = found),
      (error: unknown) => (console.error(error), (dates = {})),
    );
    return () => looking?.stop();
  });
  const rows = $derived(
    dates && [
      { says: 'All others left alone', from: dates.alone, until: dates.aloneCold },
      { says: 'Others moved, no promise of theirs broken', from: dates.moved, until: dates.movedCold },
    ],
  );
  const day = (ms: number): string => sayDay(ms, zone);
  async function promise(ms: number) {
    const piece = chosen;
    if (!piece) return;
    const out = shared.diary?.some((e) => e.kind === 'left out' && e.pieceId === piece.id);
    const kept = await attempt(async () => {
      if (out) await setLeftOut(piece.id, false, `Plan ${piece.name}`);
      await setPromise(piece.id, { dueOn: zone.dayOf(ms) }, `Promise ${piece.name}`);
    });
    if (kept) open = false;
  }

  let by = $state('');
  let lasts = $state.raw<{ id: string; says: string; at?: number }[]>([]);
  $effect(() => {
    const id = chosen?.id;
    const due = by || chosen?.dueOn;
    if (!open || !id || !due) return void (lasts = []);
    void studioCalendar.beginBy(id, zone.dayStart(zone.momentOf(`${due}T12:00`), 1)).then((all) => (lasts = all));
  });
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 bg-shade/40" />
    <Dialog.Content class="sheet fixed top-1/2 left-1/2 max-h-[90dvh] w-[min(640px,94vw)] -translate-1/2 overflow-y-auto p-5">
      <Dialog.Title class="font-serif text-[22px]">Can I promise it?</Dialog.Title>
      <Dialog.Description class="mb-3 text-soft"
        >Planned among all that is in the calendar, as the air is usually, and 2 °C colder.</Dialog.Description
      >
      {#if chosen}
        <Choice
          label="Piece"
          value={chosen.id}
          options={pieces.map((p) => ({ value: p.id, label: p.name }))}
          onchange={(id) => (asked = id)}
        />
        {#if rows}
          <table class="mt-3 w-full">
            <tbody>
              {#each rows as { says, from, until } (says)}
                <tr class="border-b border-rule">
                  <th class="py-2 text-left font-normal">{says}</th>
                  <td class="py-2 pr-3 text-right font-bold sm:whitespace-nowrap"
                    >{#if from === undefined}no day within 90{:else}{day(from)}{until === undefined
                        ? ', and none if it is colder'
                        : day(from) === day(until)
                          ? ''
                          : ` to ${day(until)}`}{/if}</td
                  >
                  <td class="w-0 py-2 text-right"
                    >{#if from !== undefined}<button type="button" class="chip whitespace-nowrap" onclick={() => promise(until ?? from)}
                        >Promise {day(until ?? from)}</button
                      >{/if}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        {:else}
          <p class="mt-3 text-soft" aria-busy="true">
            Planning it four times <progress class="w-40 align-middle" value={share}></progress>
            <button type="button" class="ml-2 underline" onclick={() => (looking?.stop(), (dates = {}))}>Stop</button>
          </p>
        {/if}
        <label class="mt-4 flex items-center gap-3 font-semibold"
          >To be handed over on<DayInput
            class="w-44! font-normal"
            label="To be handed over on"
            value={by || chosen.dueOn}
            commit={(day) => (by = day ?? '')}
          /></label
        >
        {#if lasts.length}
          <p class="mt-2 text-[13px] text-soft">With all others where they are, each must begin by:</p>
          <ul class="mt-1 text-[13px]">
            {#each lasts as last (last.id)}
              <li class="flex justify-between border-b border-rule py-0.5">
                <span>{last.says}</span><b class={last.at === undefined ? 'text-buoy' : ''}
                  >{last.at === undefined ? 'too late for that day' : dayAndTime(last.at)}</b
                >
              </li>
            {/each}
          </ul>
        {/if}
      {:else}<p>Every piece is poured. A new one can be asked about as soon as it has a coat.</p>{/if}
      <div class="mt-4 text-right"><Dialog.Close type="button" class="button">Close</Dialog.Close></div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
