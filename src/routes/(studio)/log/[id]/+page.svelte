<script lang="ts">
  import { page } from '$app/state';
  import { stepKey, type Verdict } from '#core/document';
  import { RATIO_FLAG, ratioError } from '#core/mix';
  import { say } from '#core/pour';
  import { extraHeat, plannedBesideDone, readSession, unknownEvents, weighed } from '#core/record';
  import { isPast, plain, writeShare, writeSpan } from '#core/units';
  import { Live } from '$lib/store/live.svelte';
  import { judge } from '$lib/store/pours';
  import { shared } from '$lib/store/shared.svelte';
  import { readPour } from '$lib/store/studio';
  import { attempt } from '$lib/ui/attempt';
  import { clockTime, dayMonth, weekday } from '$lib/ui/clock.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  const live = $derived.by(() => {
    const id = page.params['id']!;
    return new Live(async () => ({ found: await readPour(id) }));
  });
  const answer = $derived(live.current);
  const session = $derived(answer?.found && readSession(answer.found));
  const settings = $derived(shared.settings);
  const lines = $derived(session ? plannedBesideDone(session) : []);
  const notes = $derived(session?.events.flatMap((e) => (e.kind === 'note' ? [e] : [])) ?? []);
  const more = $derived(session ? extraHeat(session) : 0);
  const later = $derived(session ? unknownEvents(session.pour) : []);
  const name = $derived(session?.pour.planned.pieces.map((p) => p.name).join(', ') ?? 'Pour');
  const wordsOf = (step: (typeof lines)[0]['step']) => say(step, session!.told, shared.write);

  const verdicts: { value: Verdict; says: string }[] = [
    { value: 'make it again', says: 'Make it again' },
    { value: 'change something', says: 'Change something' },
    { value: 'start over', says: 'Start over' },
  ];
  /** What is typed, over what is stored; it stands until all of it is on the disk. */
  let typed = $state<string>();
  const note = $derived(typed ?? session?.pour.note ?? '');
  /** How many writes are on their way. */
  let writing = $state(0);
  let unkept = $state(false);
  async function keepNote(id: string, text: string) {
    typed = text;
    writing++;
    unkept = !(await attempt(() => judge(id, { note: text })));
    writing--;
  }

  const difference = (planned: number, done: number): string => {
    const by = Math.round(done - planned);
    return by === 0 ? 'as planned' : `${Math.abs(by)} min ${by > 0 ? 'later' : 'sooner'}`;
  };
  /** Where the white fell in the window of its own pour. */
  const whiteLine = $derived.by(() => {
    const line = lines.find((l) => l.step.id.does === 'white');
    const batch = line && session?.told.batches[line.step.batch];
    const mixed = line && session?.mixedAt.get(line.step.batch);
    const at = line && session?.doneAt.get(stepKey(line.step.id));
    const white = batch?.white;
    if (!white || mixed === undefined || at === undefined) return undefined;
    const min = (at - mixed) / 60_000;
    const where = min < white.from ? 'before its window' : isPast(min, white) ? 'after its window' : 'in its window';
    return `White went out ${plain(min, 0)} min after mixing, ${where} of ${writeSpan(white.from, white.until)}.`;
  });
</script>

<svelte:head><title>{name} in the log · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  {#if session && settings}
    {@const started = Date.parse(session.pour.startedAt)}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-[28px]">{name}</h1>
      <p class="text-soft">
        {weekday(started).split(' ')[0]}
        {dayMonth(started)}, {clockTime(started)} · {session.told.coats.map((c) => c.name.toLowerCase()).join(', ')} · {shared.write.temperature(
          session.pour.roomC,
        )} in {session.pour.planned.room.name}
      </p>
      <span class="ml-auto flex flex-wrap gap-x-4"
        >{#each session.pour.planned.pieces.filter((p) => session!.pour.of.some((o) => o.pieceId === p.id)) as p (p.id)}<a
            class="underline"
            href="/log/piece/{p.id}">The story of {p.name}</a
          >{/each}<a class="underline" href="/log/wrong/{session.pour.id}">What went wrong</a><a class="underline" href="/log">All pours</a
        ></span
      >
    </div>
    <div class="grid min-h-0 gap-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <Sheet title="Planned beside done" aside="minutes after A and B met">
        <div class="min-h-0 overflow-y-auto">
          <table class="w-full">
            <thead
              ><tr class="text-right text-[13px] text-soft [&>th]:px-3 [&>th]:py-1 [&>th]:font-normal"
                ><th class="text-left" scope="col">step</th><th scope="col">planned</th><th scope="col">done</th><th
                  class="text-left"
                  scope="col"><span class="sr-only">difference</span></th
                ></tr
              ></thead
            >
            <tbody>
              {#each lines as { step, planned, done, skipped } (stepKey(step.id))}
                {@const words = wordsOf(step)}
                <tr class="border-t border-rule text-right [&>td]:px-3 [&>td]:py-1.5">
                  <th scope="row" class="px-3 text-left font-normal"
                    >{words.done}{#if words.amounts.length}<span class="ml-2 text-[13px] text-soft"
                        >{words.amounts.map((a) => `${a.name} ${a.amount}`).join(', ')}</span
                      >{/if}</th
                  >
                  <td>{plain(planned, 0)}</td>
                  <td>{done === undefined ? '–' : plain(done, 0)}</td>
                  <td class="text-left text-soft">{done !== undefined ? difference(planned, done) : skipped ? 'left out' : 'not marked'}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
          <div class="flex flex-col gap-1 border-t border-line px-3 py-2 text-[13px]">
            {#if whiteLine}<p>{whiteLine}</p>{/if}
            {#await import('./LogAir.svelte') then { default: LogAir }}<LogAir {session} />{/await}
            {#await import('./LogStory.svelte') then { default: LogStory }}<LogStory {session} />{/await}
            {#if more > 0}<p>{more} heat pass{more > 1 ? 'es' : ''} more than planned.</p>{/if}
            {#each session.told.batches as batch, i (i)}
              {@const w = weighed(session).find((x) => x.batch === i)}
              {@const resin = session.pour.planned.resins.find((r) => r.id === batch.resinId)}
              {@const error = w && resin ? ratioError(w.aG, w.bG, resin) : 0}
              <p>
                {shared.write.volume(batch.ml)} of {batch.resin}: A {shared.write.measure(batch.aG, batch.aMl)}, B {shared.write.measure(
                  batch.bG,
                  batch.bMl,
                )} planned{#if w}; A {shared.write.weight(w.aG)}, B {shared.write.weight(w.bG)} weighed, ratio {Math.abs(error) >=
                  RATIO_FLAG
                    ? `off by ${writeShare(Math.abs(error))}`
                    : `right to ${writeShare(Math.abs(error))}`}{/if}.
              </p>
            {/each}
            {#each later as e (e.seq)}<p>
                <span class="text-soft">{clockTime(Date.parse(e.at))}</span> “{e.kind}”, recorded by a later Nerite and kept as it is.
              </p>{/each}
            {#each notes as n (n.seq)}<p><span class="text-soft">{clockTime(Date.parse(n.at))}</span> {n.text}</p>{/each}
          </div>
        </div>
      </Sheet>
      <Sheet title="How it came out">
        {#if session.abandoned}
          <div class="flex flex-col gap-2 p-4">
            <p><b>Abandoned at {clockTime(session.abandoned.at)}.</b> {session.abandoned.why}</p>
            <p class="text-soft">
              The piece stands as before. {session.mixedAt.size
                ? 'What was mixed is off the shelf.'
                : 'Nothing was mixed, and nothing left the shelf.'}
            </p>
          </div>
        {:else if session.done === undefined}
          <p class="p-3 text-soft">This pour is still going. <a class="underline" href="/pour/{session.pour.id}">Go on pouring</a></p>
        {:else}
          <div class="flex flex-col gap-4 p-4">
            <div role="radiogroup" aria-label="Verdict" class="flex flex-wrap gap-2">
              {#each verdicts as v (v.value)}
                <label
                  class="button cursor-pointer has-checked:border-ink has-checked:bg-ink has-checked:text-sheet has-focus-visible:outline-2 has-focus-visible:outline-buoy"
                >
                  <input
                    type="radio"
                    name="verdict"
                    class="sr-only"
                    checked={session.pour.verdict === v.value}
                    onchange={() => attempt(() => judge(session.pour.id, { verdict: v.value }))}
                  />{v.says}
                </label>
              {/each}
            </div>
            <label class="font-semibold">
              What to remember
              <textarea
                class="input mt-1 p-2! font-serif text-[17px] font-normal"
                rows="5"
                maxlength="4000"
                value={note}
                oninput={(e) => keepNote(session.pour.id, e.currentTarget.value)}
                onblur={() => !writing && !unkept && (typed = undefined)}></textarea>
            </label>
            <p class="text-[13px] text-soft" role="status">
              {writing
                ? 'Being kept.'
                : unkept
                  ? 'Not kept yet: type on, or export the studio first.'
                  : note
                    ? 'Kept.'
                    : 'Kept as you type.'}
            </p>
          </div>
        {/if}
      </Sheet>
    </div>
  {:else if answer && !answer.found}
    <Missing says="This pour is not in the log" href="/log" on="All pours" />
  {:else}
    <p class="text-soft" aria-busy="true">Reading the pour.</p>
  {/if}
</main>
