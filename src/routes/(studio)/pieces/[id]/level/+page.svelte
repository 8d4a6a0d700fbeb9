<script lang="ts">
  import { page } from '$app/state';
  import { READABLE_TILT, startingStands } from '#core/craft';
  import { limits, type Stands } from '#core/document';
  import { creepOf, driftOf, tiltFor, wetOf } from '#core/plan';
  import { lineArea } from '#core/mix';
  import { bare, plain, readWithin, tilt as tilts, type Reading } from '#core/units';
  import { planner } from '$lib/planner';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { editPiece } from '$lib/store/edits';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import BoardOnFeet from './BoardOnFeet.svelte';
  import Bubble from './Bubble.svelte';
  import DeviceTilt from './DeviceTilt.svelte';
  import Tilting from './Tilting.svelte';

  /** How level a board lies, and what becomes of its film by morning: which foot, how much, and tilting as a tool. */
  const piece = $derived(shared.pieces?.find((p) => p.id === page.params['id']));
  const means = $derived(shared.means);
  const plan = $derived(piece && means && planner.plan(piece, means));
  const stands = $derived<Stands>(piece?.stands ?? startingStands);
  const wets = $derived(
    plan?.pours.flatMap((pour, number) => {
      const wet = pour.batches.length ? wetOf(plan, pour) : undefined;
      return wet ? [{ pour, number, wet }] : [];
    }) ?? [],
  );
  let picked = $state<number>();
  const looked = $derived(wets.find((w) => w.number === picked) ?? wets.find((w) => w.wet.coat.kind === 'wave') ?? wets[0]);
  const drift = $derived(plan && looked && driftOf(plan, looked.pour, stands));
  const wave = $derived(looked?.wet.coat.kind === 'wave' ? looked.wet.coat : undefined);
  const creep = $derived(looked && wave && creepOf(looked.wet, { width: wave.lineWidth, area: lineArea(wave.lineWidth, wave.lineHeight) }));

  const set = (change: Partial<Stands>, what: string) =>
    attempt(() =>
      editPiece(
        page.params['id']!,
        what,
        (p) => ({ ...p, stands: { ...(p.stands ?? startingStands), ...change } }),
        `stands ${Object.keys(change).join()}`,
      ),
    );
  const readTilt = (text: string): Reading =>
    readWithin(tilts, text.replace(/^level$/i, '0'), limits.tilt, 'A tilt', (v) => `${plain(v, 2)}°`, '°');
  const readFeet = (text: string): Reading => {
    const reading = readWithin(bare, text, limits.feet, 'A number of feet', (v) => plain(v, 0));
    return reading.ok && !Number.isInteger(reading.value) ? { ok: false, says: 'Give a whole number of feet.' } : reading;
  };
  const readInset = (text: string): Reading => reads.current.length(text, limits.inset, 'A place');
  const fine = (mm: number): string => shared.write.fine(mm);
  const moves = $derived(drift && drift.tilt > 0);
</script>

<svelte:head><title>{piece ? `Level of ${piece.name}` : 'Level'} · Nerite</title></svelte:head>

{#if piece && plan && means}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
    <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
      <h1 class="text-[28px] leading-tight">How level {piece.name} lies</h1>
      {#if wets.length > 1}
        <label class="flex items-center gap-2 text-[13px] text-soft"
          >Pour<select class="input w-auto!" value={String(looked?.number)} onchange={(e) => (picked = Number(e.currentTarget.value))}
            >{#each wets as w (w.number)}<option value={String(w.number)}>{w.number + 1}: {fine(w.wet.film)} of film</option>{/each}</select
          ></label
        >
      {/if}
      <div class="ml-auto flex gap-2">
        <UndoRedo scope={piece.id} />
        <a class="button" href="/pieces/{piece.id}/clock">Clock</a>
        <a class="button" href="/pieces/{piece.id}">Back to the piece</a>
      </div>
    </div>
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_380px]">
      <Sheet title="What follows" aside={looked ? `pour ${looked.number + 1}, as it is planned` : ''} class="min-h-0">
        <Scrolled label="What follows, in words and as a drawing" class="flex min-h-0 grow flex-col gap-3 p-4">
          {#if drift && looked}
            <p class="font-serif text-[24px] leading-tight" role="status">
              {#if !moves}The board is level: nothing runs.
              {:else if drift.dry}The film runs to the low side and leaves the high one dry.
              {:else}By morning the film has moved <strong data-testid="drift">{fine(drift.drift.middle)}</strong> downhill{Math.abs(
                  drift.inland,
                ) >= 0.5
                  ? `, ${fine(Math.abs(drift.inland))} of it ${drift.inland > 0 ? 'up the beach' : 'out to sea'}`
                  : ''}.{/if}
            </p>
            <p class="text-[15px]">
              {#if moves}Four times in five it is {fine(drift.drift.from)} to {fine(drift.drift.until)}.{/if}
              For {fine(drift.allowed)} it has to be level to <strong>{plain(drift.allowedTilt, 2)}°</strong>{moves
                ? drift.tilt <= drift.allowedTilt
                  ? ', and it is.'
                  : `; it hangs ${plain(drift.tilt, 2)}°.`
                : '.'}
              {#if drift.allowedTilt < READABLE_TILT}
                No spirit level reads so fine: tape or dam the edge, lay the film thinner, or lay the wave later, when it has more body.
              {/if}
            </p>
            {#if drift.feet.some((f) => f.mm >= 0.05) && stands.feet >= 3}
              <ul class="text-[17px]">
                {#each drift.feet.filter((f) => f.mm >= 0.05) as { foot, mm } (foot.name)}<li>
                    Put <strong>{fine(mm)}</strong> below the {foot.name} foot.
                  </li>{/each}
              </ul>
            {/if}
            {#if stands.feet < 3}<p class="border-l-3 border-warn bg-warnground px-3 py-2 text-warn">
                A board on {stands.feet === 1 ? 'one foot' : 'two feet'} tips. Stand it on three, or on four near its corners.
              </p>{/if}
            <div class="min-h-50 grow"><BoardOnFeet {plan} {stands} {drift} /></div>
            {#if creep && wave}
              <p class="text-[15px] text-soft">
                Level or not, the line of white creeps {fine(creep.wet)} to each side on the wet film, {fine(creep.dry)} on dry ground: lay it
                <b class="text-ink">{fine(Math.max(0, creep.wet + drift.inland))}</b> seaward of where it should end.
              </p>
            {/if}
          {:else}<p class="text-soft">Nothing is poured on this board yet, so nothing runs.</p>{/if}
        </Scrolled>
      </Sheet>
      <div class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
        <Sheet
          title="How it stands"
          class="shrink-0"
          aside="{shared.write.length(plan.bounds.width)} × {shared.write.length(plan.bounds.height)}"
        >
          <div class="grid grid-cols-2 gap-x-4 gap-y-3 p-3">
            <LiveField
              label="Feet below it"
              shows={String(stands.feet)}
              read={readFeet}
              value={stands.feet}
              commit={(feet) => set({ feet }, 'Change its feet')}
            />
            <LiveField
              label="in from the rim"
              shows={shared.write.length(stands.inset)}
              read={readInset}
              value={stands.inset}
              commit={(inset) => set({ inset }, 'Move its feet')}
            />
          </div>
        </Sheet>
        <Sheet title="What the level says" class="shrink-0">
          <div class="flex flex-col gap-4 p-3">
            <Bubble
              label="Along its length"
              sides={['left', 'right']}
              degrees={stands.along}
              read={readTilt}
              oncommit={(along) => set({ along }, 'Read the level')}
            />
            <Bubble
              label="Across it"
              sides={['upper', 'lower']}
              degrees={stands.across}
              read={readTilt}
              oncommit={(across) => set({ across }, 'Read the level')}
            />
            <DeviceTilt ontake={(read) => set(read, 'Read the level')} />
          </div>
        </Sheet>
        {#if looked}<Sheet title="Tilting on purpose" class="shrink-0" aside="moves a film, and back"
            ><Tilting wet={looked.wet} seconds={(travel, angle) => tiltFor(looked.wet, travel, angle)} /></Sheet
          >{/if}
      </div>
    </div>
  </main>
{:else if shared.pieces && !piece}
  <main class="p-4"><Missing says="This piece is not in the studio" href="/pieces" on="All pieces" /></main>
{/if}
