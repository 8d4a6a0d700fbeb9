<script lang="ts">
  import { startingHours } from '#core/calendar';
  import type { DaySpan, DiaryEntry } from '#core/document';
  import { addEntry, removeEntries, setDay, setWeekday } from '$lib/store/diary';
  import { attempt } from '$lib/ui/attempt';
  import { weekday } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';
  import SpansField from './SpansField.svelte';

  /** The artist's hours by the days of the week, and days that are otherwise. */
  let { diary, now }: { diary: readonly DiaryEntry[]; now: number } = $props();
  const names = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
  const ofDay = (i: number): DaySpan[] => {
    const entry = diary.findLast((e) => e.kind === 'hours' && e.weekday === i);
    return entry?.kind === 'hours' ? entry.spans : startingHours;
  };
  const today = $derived(zone.dayOf(now));
  const days = $derived(diary.flatMap((e) => (e.kind === 'day' && e.on >= today ? [e] : [])).sort((a, b) => a.on.localeCompare(b.on)));
  const said = (on: string): string => weekday(zone.momentOf(`${on}T12:00`));
  let on = $state('');
</script>

<div class="flex flex-col gap-1.5 p-3 [&_label]:w-22">
  {#each names as name, i (name)}
    <SpansField label={name} spans={ofDay(i)} commit={(spans) => attempt(() => setWeekday(i, spans))} />
  {/each}
</div>
<div class="border-t border-rule p-3">
  <h3 class="mb-1 font-bold">Days that are otherwise</h3>
  {#each days as day (day.id)}
    <div class="flex items-start gap-3">
      <div class="grow">
        <SpansField
          label="{said(day.on)}, {day.on.slice(0, 4)}"
          spans={day.spans}
          commit={(spans) => attempt(() => setDay(day.on, spans, 'Change a day'))}
        />
      </div>
      <button type="button" class="underline whitespace-nowrap" onclick={() => attempt(() => removeEntries('As every week again', [day]))}
        >As every week</button
      >
    </div>
  {:else}<p class="text-soft">None. A day that is barred on the calendar stands here too.</p>{/each}
  <form
    class="mt-2 flex flex-wrap items-center gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      if (on) void attempt(() => addEntry('Add a day', { kind: 'day', on, spans: [] })).then((ok) => ok && (on = ''));
    }}
  >
    <label class="flex items-center gap-2 whitespace-nowrap"
      >Another day<input type="date" class="input w-42!" bind:value={on} min={today} /></label
    >
    <button type="submit" class="button" disabled={!on || days.some((d) => d.on === on)}>Add it as away</button>
  </form>
</div>
