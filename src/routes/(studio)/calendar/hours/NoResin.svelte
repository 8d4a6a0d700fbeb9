<script lang="ts">
  import { readNight, sayWhen, writeSpans } from '#core/calendar';
  import type { DiaryEntry } from '#core/document';
  import { addEntry, removeEntries } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { zone } from '$lib/zone';

  /** Times at which nothing may be laid or still be tacky: guests, builders, a child's bedtime. */
  let { diary, now }: { diary: readonly DiaryEntry[]; now: number } = $props();
  const short = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
  const when = (e: DiaryEntry): string =>
    e.kind === 'no resin'
      ? `${dayAndTime(Date.parse(e.from))} to ${sayWhen(Date.parse(e.until), Date.parse(e.from), zone)}`
      : e.kind === 'no resin weekly'
        ? `${e.weekdays.map((d) => short[d]).join(' ')} ${writeSpans([e.span])}`
        : '';
  /** Those that are not over, once ones first. */
  const kept = $derived(
    diary
      .flatMap((e) => ((e.kind === 'no resin' && Date.parse(e.until) > now) || e.kind === 'no resin weekly' ? [e] : []))
      .sort((a, b) => a.kind.length - b.kind.length),
  );
  const room = (id: string | undefined): string => (id === undefined ? '' : ` in ${shared.rooms?.find((r) => r.id === id)?.name ?? ''}`);

  let what = $state('');
  let roomId = $state('');
  let repeats = $state(false);
  let from = $state('');
  let until = $state('');
  let hours = $state('');
  let weekdays = $state<number[]>([]);
  let insist = $state(false);
  const night = $derived(readNight(hours));
  const wrong = $derived(
    repeats
      ? !weekdays.length
        ? 'Choose on which days.'
        : night.ok
          ? ''
          : night.says
      : !from || !until
        ? 'Give when it begins and when it ends.'
        : until <= from
          ? 'It ends after it begins.'
          : '',
  );
  async function add(event: Event) {
    event.preventDefault();
    insist = true;
    if (wrong) return;
    const iso = (civil: string): string => new Date(zone.momentOf(civil)).toISOString();
    const common = { what: what.trim().slice(0, 80) || 'no resin out', ...(roomId && { roomId }) };
    const ok = await attempt(() =>
      addEntry(
        'Add a time without resin',
        repeats && night.ok
          ? { kind: 'no resin weekly', ...common, weekdays: [...weekdays].sort(), span: night.span }
          : { kind: 'no resin', ...common, from: iso(from), until: iso(until) },
      ),
    );
    if (ok) [what, from, until, hours, weekdays, insist] = ['', '', '', '', [], false];
  }
</script>

<div class="flex flex-col gap-2 p-3">
  {#each kept as e (e.id)}
    <p class="flex justify-between gap-3">
      <span><b>{e.what}</b>{room(e.roomId)}, {when(e)}</span>
      <button
        type="button"
        class="underline whitespace-nowrap"
        onclick={() => attempt(() => removeEntries('Take off a time without resin', [e]))}
        >Take off<span class="sr-only"> {e.what}</span></button
      >
    </p>
  {/each}
  <details>
    <summary class="underline">Add a time without resin</summary>
    <form class="mt-2 grid grid-cols-2 gap-2" onsubmit={add}>
      <label class="text-[13px] text-soft"
        >What<input class="input" bind:value={what} maxlength="80" placeholder="guests, a child’s bedtime" /></label
      >
      <label class="text-[13px] text-soft"
        >Where<select class="input" bind:value={roomId}
          ><option value="">in every room</option>{#each shared.rooms ?? [] as r (r.id)}<option value={r.id}>{r.name}</option
            >{/each}</select
        ></label
      >
      <label class="col-span-2 flex items-center gap-2"><input type="checkbox" bind:checked={repeats} />every week</label>
      {#if repeats}
        <fieldset class="col-span-2 flex flex-wrap gap-x-3">
          <legend class="sr-only">On which days</legend>
          {#each short as name, i (name)}<label class="flex items-center gap-1"
              ><input type="checkbox" value={i} bind:group={weekdays} />{name}</label
            >{/each}
        </fieldset>
        <label class="col-span-2 text-[13px] text-soft">Hours<input class="input" bind:value={hours} placeholder="19–7" /></label>
      {:else}
        <label class="text-[13px] text-soft">From<input type="datetime-local" class="input" bind:value={from} /></label>
        <label class="text-[13px] text-soft">Until<input type="datetime-local" class="input" bind:value={until} /></label>
      {/if}
      {#if insist && wrong}<p class="col-span-2 text-[13px] text-buoy" role="alert">{wrong}</p>{/if}
      <button type="submit" class="button justify-self-start">Add it</button>
    </form>
  </details>
</div>
