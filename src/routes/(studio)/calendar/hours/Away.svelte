<script lang="ts">
  import { sayWhen } from '#core/calendar';
  import type { DiaryEntry } from '#core/document';
  import { addEntry, removeEntries } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';
  import Files from './Files.svelte';

  /** Times at which hands are elsewhere: typed, or out of a calendar file. */
  let { diary, now }: { diary: readonly DiaryEntry[]; now: number } = $props();
  const busy = $derived(
    diary.flatMap((e) => (e.kind === 'busy' && Date.parse(e.until) > now ? [e] : [])).sort((a, b) => a.from.localeCompare(b.from)),
  );
  const typed = $derived(busy.filter((b) => b.source === undefined));
  let what = $state('');
  let from = $state('');
  let until = $state('');
  let insist = $state(false);
  const wrong = $derived(!from || !until ? 'Give when it begins and when it ends.' : until <= from ? 'It ends after it begins.' : '');
  async function add(event: Event) {
    event.preventDefault();
    insist = true;
    if (wrong) return;
    const iso = (civil: string): string => new Date(zone.momentOf(civil)).toISOString();
    const ok = await attempt(() =>
      addEntry('Add a busy time', { kind: 'busy', from: iso(from), until: iso(until), what: what.trim().slice(0, 80) || 'busy' }),
    );
    if (ok) [what, from, until, insist] = ['', '', '', false];
  }
</script>

<div class="flex flex-col gap-2 p-3">
  {#each typed as b (b.id)}
    <p class="flex justify-between gap-3">
      <span><b>{b.what}</b> {dayAndTime(Date.parse(b.from))} to {sayWhen(Date.parse(b.until), Date.parse(b.from), zone)}</span>
      <button type="button" class="underline whitespace-nowrap" onclick={() => attempt(() => removeEntries('Take off a busy time', [b]))}
        >Take off<span class="sr-only"> {b.what}</span></button
      >
    </p>
  {/each}
  <details>
    <summary class="underline">Add a busy time</summary>
    <form class="mt-2 grid grid-cols-2 gap-2" onsubmit={add}>
      <label class="col-span-2 text-[13px] text-soft">What<input class="input" bind:value={what} maxlength="80" placeholder="busy" /></label
      >
      <label class="text-[13px] text-soft">From<input type="datetime-local" class="input" bind:value={from} /></label>
      <label class="text-[13px] text-soft">Until<input type="datetime-local" class="input" bind:value={until} /></label>
      {#if insist && wrong}<p class="col-span-2 text-[13px] text-buoy" role="alert">{wrong}</p>{/if}
      <button type="submit" class="button justify-self-start">Add a busy time</button>
    </form>
  </details>
  <Files {busy} zoneName={zone.name} {now} pieces={shared.pieces ?? []} />
</div>
