<script lang="ts">
  import { noticesAt, shownOf, type Notice } from '#core/calendar';
  import { Live } from '$lib/store/live.svelte';
  import { putOff, readTold, seenTo, tellOnce } from '$lib/store/notices';
  import { zone } from '$lib/zone';
  import { attempt } from './attempt';
  import { studioCalendar } from './calendar.svelte';
  import { minutes } from './clock.svelte';
  import { noticePermission } from './permission';
  import { whereAllStand } from './standings.svelte';

  /** What is to be told: a window that opens or is about to close, a promise that slips. Once for each, here and by the system. */
  const told = new Live(readTold);
  const now = $derived(minutes.now);
  const calendar = $derived(studioCalendar.current);
  const standings = $derived(whereAllStand(now));
  const shown = $derived(
    calendar && standings && told.current ? shownOf(noticesAt(calendar, standings, now, zone), told.current, now, zone) : [],
  );

  /** A phone shows one at a time, so that what lies below can be read. */
  const NARROW = 640;
  let wide = $state(0);
  const most = $derived(wide < NARROW ? 1 : 3);

  const LATER = 30 * 60_000;
  async function tell({ key, says, why, href }: Notice) {
    const worker = await navigator.serviceWorker?.getRegistration();
    if (!worker || (await noticePermission()) !== 'granted' || !(await tellOnce(key, Date.now()))) return;
    await worker.showNotification(says, { body: why, tag: key, data: href });
  }
  $effect(() => {
    if (!told.current?.system || !('Notification' in globalThis)) return;
    for (const notice of shown) if (told.current.told[notice.key] === undefined) void tell(notice).catch(console.error);
  });
</script>

<svelte:window bind:innerWidth={wide} />

<!-- it lies over what is there, so that nothing moves under the hand when it comes -->
<div role="status" class="fixed right-3 bottom-29 z-20 w-105 max-w-[calc(100vw-24px)] max-sm:bottom-13 print:hidden">
  {#if shown.length}
    <ul class="rounded-sheet border border-warn bg-warnground text-[13px] text-warnink" aria-label="Notices">
      {#each shown.slice(0, most) as notice (notice.key)}
        <li class="border-b border-line px-3 py-2 last:border-0">
          <a class="font-bold underline" href={notice.href}>{notice.says}</a>
          {notice.why}
          <span class="flex justify-end gap-4">
            <button
              type="button"
              class="underline"
              onclick={() => attempt(() => putOff(notice.key, Date.now() + LATER))}
              aria-label="In half an hour: {notice.says}">In half an hour</button
            >
            <button
              type="button"
              class="underline"
              onclick={() => attempt(() => seenTo(notice.key, Date.now()))}
              aria-label="Seen: {notice.says}">Seen</button
            >
          </span>
        </li>
      {/each}
      {#if shown.length > most}<li class="px-3 py-1">and {shown.length - most} more</li>{/if}
    </ul>
  {/if}
</div>
