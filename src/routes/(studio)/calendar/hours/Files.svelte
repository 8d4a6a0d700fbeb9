<script lang="ts">
  import type { DiaryEntry, Piece } from '#core/document';
  import { removeEntries, takeBusy } from '$lib/store/diary';
  import { attempt } from '$lib/ui/attempt';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import { savedAs } from '$lib/ui/saved';
  import { calendarFile, readBusyFile } from '$lib/work/ical';

  /** Calendar files: busy times come in, sessions go out. */
  /** Before a session, min. */
  const ALARM = 15;
  type Busy = Extract<DiaryEntry, { kind: 'busy' }>;
  let { busy, zoneName, now, pieces }: { busy: readonly Busy[]; zoneName: string; now: number; pieces: readonly Piece[] } = $props();

  const sources = $derived(
    [...new Set(busy.flatMap((b) => b.source ?? []))].map((source) => {
      const own = busy.filter((b) => b.source === source);
      return { source, own, until: Math.max(...own.map((b) => Date.parse(b.until))) };
    }),
  );
  let reading = $state(false);
  let says = $state<{ good: boolean; text: string }>();
  async function read(file: File) {
    reading = true;
    says = undefined;
    try {
      const found = await readBusyFile(await file.text(), zoneName, now).done;
      if (!found) return;
      if (!found.ok) return void (says = { good: false, text: found.says });
      const source = found.name || file.name.replace(/\.ics$/i, '').slice(0, 80) || 'calendar';
      const stored = await attempt(() => takeBusy(source, found.busy));
      if (stored)
        says = {
          good: true,
          text: [
            `${found.busy.length === 1 ? 'One busy time' : `${found.busy.length} busy times`} of “${source}” in the next 180 days.`,
            ...found.notes,
          ].join(' '),
        };
    } catch (error) {
      console.error(error);
      says = { good: false, text: 'This file could not be read. Choose it again.' };
    } finally {
      reading = false;
    }
  }
  let writing = $state(false);
  async function write() {
    writing = true;
    try {
      const calendar = await studioCalendar.ready();
      const named = pieces.map(({ id, name }) => ({ id, name }));
      const text = calendar && (await calendarFile(calendar, named, ALARM).done);
      if (text) savedAs('nerite.ics', 'text/calendar', text);
      else says = { good: false, text: 'The days could not be planned, so there is nothing to save yet.' };
    } catch (error) {
      console.error(error);
      says = { good: false, text: 'The file could not be written. Try again.' };
    } finally {
      writing = false;
    }
  }
</script>

<div class="border-t border-rule pt-2">
  <h3 class="mb-1 font-bold">Calendar files</h3>
  {#each sources as { source, own, until } (source)}
    <p class="flex justify-between gap-3">
      <span><b>{source}</b>: {own.length} busy {own.length === 1 ? 'time' : 'times'} until {dayMonth(until)}</span>
      <button type="button" class="underline whitespace-nowrap" onclick={() => attempt(() => removeEntries(`Take off ${source}`, own))}
        >Take off<span class="sr-only"> {source}</span></button
      >
    </p>
  {/each}
  <p class="mb-2 text-[13px] text-soft">
    Busy times come in from an .ics file; the same calendar brought in again takes the place of what it brought before. Your sessions go out
    as one, with an alarm 15 min before.
  </p>
  <div class="flex flex-wrap gap-2">
    <FileButton label="Bring in busy times" busy={reading} accept=".ics,text/calendar" onfile={read} />
    <button type="button" class="button" disabled={writing} aria-busy={writing} onclick={write}
      >{writing ? 'Planning the days' : 'Save your sessions (.ics)'}</button
    >
    <a class="button" href="/calendar/week">Print a week</a>
  </div>
  {#if says}<p class="mt-2 text-[13px] {says.good ? '' : 'text-buoy'}" role={says.good ? 'status' : 'alert'}>{says.text}</p>{/if}
</div>
