<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { coatName } from '#core/coat';
  import { limits, type Method } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { sameCups, tell } from '#core/pour';
  import { sayBetween, workBetween } from '#core/prepare';
  import { whatIsBelow, type Standing } from '#core/record';
  import { steady } from '#core/air';
  import { readWithin, temperature, type Reading } from '#core/units';
  import { planner } from '$lib/planner';
  import { startPour } from '$lib/store/pours';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { airs } from '$lib/ui/airs.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import { thermometer } from '$lib/ui/thermometer.svelte';
  import { whereAllStand } from '$lib/ui/standings.svelte';
  import Field from '$lib/ui/Field.svelte';
  import BenchChange from './BenchChange.svelte';

  /**
   * Asks which pour and what goes along with it, says what stands in its way, and asks for the room as it is now, since every clock of the pour runs on
   * it. Where the bench is warmer or colder than planned, what changes stands beside the plan before anything is mixed.
   */
  interface Props {
    open: boolean;
    plan: PiecePlan;
    standing: Standing;
    /** The pour it begins with. */
    offered: number;
  }
  let { open = $bindable(), plan, standing, offered }: Props = $props();

  const piece = $derived(plan.piece);
  let text = $state('');
  let warmed = $state('');
  let insist = $state(false);
  let number = $state(0);
  /** Pieces that are poured along with it. */
  let along = $state<string[]>([]);
  let take = $state<'planned' | 'new'>('planned');
  const settings = $derived(shared.settings!);
  /** Each time it opens it begins with the room as it is read now, or as it should be. */
  const roomNow = (): string => {
    const celsius = thermometer.live.reading?.celsius ?? (shared.room && airs.current?.of(shared.room).at(Date.now()));
    return celsius === undefined ? '' : shared.write.temperature(celsius);
  };
  $effect.pre(() => {
    if (!open) return;
    text = untrack(roomNow);
    warmed = untrack(() => (plan.means.method.bottlesC === undefined ? '' : shared.write.temperature(plan.means.method.bottlesC)));
    number = untrack(() => offered);
    insist = false;
    take = 'planned';
    along = untrack(usual);
  });
  const read = (typed: string) =>
    readWithin(temperature, typed, limits.room, 'A room', (v) => shared.write.temperature(v), settings.temperature);

  const pour = $derived(plan.pours[number]);
  /** Other pieces whose next pour can go along in the same session, by turns and out of the same mixings. */
  const others = $derived.by(() => {
    if (!open) return [];
    return (whereAllStand(Date.now()) ?? []).flatMap((s) => {
      const own = s.piece.id === piece.id || s.open || !s.next ? undefined : planner.planIfAble(s.piece, plan.means);
      const next = own && own.pours.findIndex((p, i) => i >= s.next!.pour && p.batches.length > 0);
      return own && next !== undefined && next >= 0 ? [{ plan: own, pour: next, standing: s }] : [];
    });
  });
  /** Those that are always poured together, or that another screen sent here with it. */
  function usual(): string[] {
    const set = shared.diary?.find((e) => e.kind === 'together' && e.pieceIds.includes(piece.id));
    const sent = (page.url.searchParams.get('with') ?? '').split(',').map((part) => part.split(':')[0]!);
    return [...(set?.kind === 'together' ? set.pieceIds : []), ...sent];
  }
  const chosen = $derived([{ plan, pour: number, standing }, ...others.filter((o) => along.includes(o.plan.piece.id))]);

  /** What is not as it should be below these pours, in sentences. */
  const below = $derived(
    open
      ? chosen.flatMap((c) =>
          whatIsBelow(c.plan, c.standing, c.pour, Date.now(), dayAndTime).map((text) =>
            chosen.length > 1 ? `${c.plan.piece.name}: ${text}` : text,
          ),
        )
      : [],
  );

  /** What is to have been brushed on before it, and be dry. */
  const brushed = $derived(
    chosen.flatMap((c) =>
      workBetween(c.plan.piece, plan.means.method).filter((b) => c.plan.pours[c.pour]?.coats.some((x) => x.coat.id === b.coat.id)),
    ),
  );

  const reading = $derived(read(text));
  /** Bottles that were warmed today, or not; what the studio mostly does stands there first. */
  const readBottles = (typed: string): Reading =>
    typed.trim()
      ? readWithin(temperature, typed, limits.bottles, 'Bottles', (v) => shared.write.temperature(v), settings.temperature)
      : { ok: true, value: NaN };
  const bottles = $derived(readBottles(warmed));
  function withBottles({ bottlesC: _, ...method }: Method, celsius: number): Method {
    return Number.isNaN(celsius) ? method : { ...method, bottlesC: celsius };
  }
  const session = $derived(pour?.batches.length ? planner.together(chosen, plan.means) : undefined);
  /** What it is planned with at the temperature that was read. */
  const here = $derived(
    reading.ok && bottles.ok
      ? { ...plan.means, air: steady(reading.value), method: withBottles(plan.means.method, bottles.value) }
      : undefined,
  );
  const kept = $derived(session && here && planner.inOtherAir(session, here));
  const anew = $derived(
    session &&
      here &&
      planner.together(
        chosen.map((c) => ({ plan: planner.plan(c.plan.piece, here), pour: c.pour })),
        here,
      ),
  );
  /** Nearer than this to what was planned is as planned, K. */
  const AS_PLANNED = 0.75;
  const bench = $derived(here === undefined ? 0 : here.air(0) - plan.means.air(0));
  const warmerBottles = $derived(
    here === undefined ? 0 : (here.method.bottlesC ?? here.air(0)) - (plan.means.method.bottlesC ?? plan.means.air(0)),
  );
  const changes = $derived(Math.abs(bench) >= AS_PLANNED || Math.abs(warmerBottles) >= AS_PLANNED);
  const choice = $derived(kept && anew && changes ? !sameCups(kept, anew) : false);

  async function start(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    const { room, means } = shared;
    if (!reading.ok || !here || !pour || !kept || !anew || !room || !means) return;
    const roomC = reading.value;
    await attempt(async () => {
      const { resins, colourants } = means;
      const { method } = here;
      const id = await startPour({
        of: chosen.map((c) => ({ pieceId: c.plan.piece.id, coatIds: c.plan.pours[c.pour]!.coats.map((x) => x.coat.id) })),
        planned: { pieces: chosen.map((c) => c.plan.piece), resins, colourants, room, method },
        told: tell(choice && take === 'new' ? anew : kept, roomC),
        roomC,
      });
      await goto(`/pour/${id}`);
    });
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-shade/40" />
    <Dialog.Content
      class="sheet fixed top-1/2 left-1/2 z-50 max-h-[calc(100dvh-24px)] w-[min(560px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5"
    >
      <Dialog.Title class="font-serif text-[22px]">Pour {number + 1} of {piece.name}</Dialog.Title>
      <Dialog.Description class="mt-1 text-soft">
        {pour?.coats.map((c) => c.name).join(', ')}: {session?.batches
          .map((b) => `${shared.write.volume(b.ml)} of ${b.resin.name}`)
          .join(', ') || 'nothing to mix'}.
      </Dialog.Description>
      <form class="mt-4 flex flex-col gap-4" onsubmit={start} novalidate>
        {#if plan.pours.length > 1}
          <label class="text-soft"
            >Which pour<select class="input mt-1" value={String(number)} onchange={(e) => (number = Number(e.currentTarget.value))}
              >{#each plan.pours as p, i (i)}<option value={String(i)} disabled={!p.batches.length}
                  >{i + 1}: {p.coats.map((c) => c.name).join(', ')}{p.lies
                    ? ' (on it already)'
                    : i === offered && standing.next
                      ? ' (next)'
                      : ''}</option
                >{/each}</select
            ></label
          >
        {/if}
        {#if others.length}
          <fieldset>
            <legend class="text-soft">In the same session, board by turns, out of the same mixings</legend>
            <div class="mt-1 flex max-h-28 flex-wrap gap-x-4 overflow-y-auto">
              {#each others as o (o.plan.piece.id)}
                <label class="flex min-h-8 items-center gap-2"
                  ><input type="checkbox" value={o.plan.piece.id} bind:group={along} />{o.plan.piece.name}<span
                    class="text-[13px] text-soft">pour {o.pour + 1}</span
                  ></label
                >
              {/each}
            </div>
          </fieldset>
        {/if}
        {#each below as sentence (sentence)}
          <p class="border-l-3 border-warn bg-warnground px-3 py-2 text-warn">{sentence}</p>
        {/each}
        {#each brushed as b, i (i)}<p>{sayBetween(b, coatName(b.coat)).does}</p>{/each}
        <Field
          label="Temperature at the bench now"
          bind:text
          {read}
          {insist}
          hint="Every clock of this pour runs on it. Read it where the board lies."
        />
        <Field
          label="Bottles"
          bind:text={warmed}
          read={readBottles}
          {insist}
          placeholder="as warm as the room"
          hint="Only where they were warmed, or come from a cold place."
        />
        {#if session && kept && anew && changes && reading.ok}
          <BenchChange
            planned={session}
            {kept}
            {anew}
            plannedC={plan.means.air(0)}
            nowC={reading.value}
            {choice}
            bottles={Math.abs(bench) >= AS_PLANNED ? undefined : warmerBottles}
            bind:take
          />
        {/if}
        <div class="flex justify-end gap-2">
          <Dialog.Close type="button" class="button">Not yet</Dialog.Close>
          <button type="submit" class="button button-main" disabled={!session}>{below.length ? 'Pour it all the same' : 'Start'}</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
