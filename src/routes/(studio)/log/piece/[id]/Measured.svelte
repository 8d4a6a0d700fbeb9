<script lang="ts">
  import { cupKey, type CupRef, type Found } from '#core/document';
  import { measuresIn } from './measures';
  import { mixedDensity } from '#core/mix';
  import type { Session } from '#core/record';
  import { record } from '$lib/store/pours';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { clockTime, dayMonth } from '$lib/ui/clock.svelte';

  /** What can be measured after a pour, and was; each is kept as an event of it, and taken back as one. */
  let { session, pieceId }: { session: Session; pieceId: string } = $props();
  const write = $derived(shared.write);
  /** g/ml of what was mixed first. */
  const density = $derived.by(() => {
    const resin = session.pour.planned.resins.find((r) => r.id === session.told.batches[0]?.resinId);
    return resin ? mixedDensity(resin) : 1.1;
  });
  const kinds = $derived(measuresIn(write, density));
  let what = $state<Found>('drips');
  let cup = $state('');
  let typed = $state('');
  let problem = $state('');
  const kind = $derived(kinds.find((k) => k.what === what)!);
  const cups = $derived(session.told.cups.filter((c) => c.id.piece === pieceId || session.told.cups.length < 2));
  const found = $derived(session.events.flatMap((e) => (e.kind === 'found' && (e.piece ?? pieceId) === pieceId ? [e] : [])));
  const cupName = (id: CupRef | undefined): string => (id ? (session.told.cups.find((c) => cupKey(c.id) === cupKey(id))?.name ?? '') : '');

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const reading = kind.read(typed, reads.current);
    problem = reading.ok ? '' : reading.says;
    if (!reading.ok) return;
    const own = kind.cup === 'never' ? undefined : cups.find((c) => cupKey(c.id) === cup)?.id;
    if (kind.cup === 'always' && !own) return void (problem = 'Say which cup.');
    const stored = await attempt(() =>
      record(
        session.pour.id,
        { kind: 'found', what, value: reading.value, ...(kind.piece && { piece: pieceId }), ...(own && { cup: own }) },
        Date.now(),
      ),
    );
    if (stored) typed = '';
  }
  const takeBack = (seq: number) => attempt(() => record(session.pour.id, { kind: 'undone', undoes: seq }, Date.now()));
</script>

<form class="flex flex-col gap-2" onsubmit={keep}>
  <p><b>Measured afterwards</b> <span class="text-[13px] text-soft">what a few pours of it teach</span></p>
  {#each found as e (e.seq)}
    {@const k = kinds.find((x) => x.what === e.what)!}
    <p class="flex items-baseline justify-between gap-2 text-[14px]">
      <span
        >{k.label}{cupName(e.cup) ? `, ${cupName(e.cup)}` : ''}: <b>{k.write(e.value)}</b>
        <span class="text-[12px] text-soft">{dayMonth(Date.parse(e.at))}, {clockTime(Date.parse(e.at))}</span></span
      >
      <button type="button" class="underline" onclick={() => takeBack(e.seq)}>take back</button>
    </p>
  {/each}
  <div class="flex flex-wrap items-end gap-2">
    <label class="flex flex-col text-[13px] text-soft"
      >what<select class="input w-auto! text-ink" bind:value={what}
        >{#each kinds as k (k.what)}<option value={k.what}>{k.label}</option>{/each}</select
      ></label
    >
    {#if kind.cup !== 'never'}
      <label class="flex flex-col text-[13px] text-soft"
        >cup<select class="input w-auto! text-ink" bind:value={cup}
          >{#if kind.cup === 'maybe'}<option value="">all together</option>{:else}<option value="">which</option
            >{/if}{#each cups as c (cupKey(c.id))}<option value={cupKey(c.id)}>{c.name}</option>{/each}</select
        ></label
      >
    {/if}
    <label class="flex flex-col text-[13px] text-soft"
      >{kind.unit}<input
        class="input w-24! text-ink"
        bind:value={typed}
        placeholder={kind.example}
        aria-invalid={problem ? 'true' : undefined}
        aria-describedby="found-problem"
      /></label
    >
    <button type="submit" class="button">Keep it</button>
  </div>
  <p id="found-problem" class="text-[13px] {problem ? 'text-buoy' : 'text-soft'}" role={problem ? 'alert' : undefined}>
    {problem || kind.says}
  </p>
</form>
