<script lang="ts">
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import { page } from '$app/state';
  import { shared } from '$lib/store/shared.svelte';
  import { writeBoard } from '$lib/ui/board';
  import { dayMonth, minutes } from '$lib/ui/clock.svelte';
  import { focusOn } from '$lib/ui/focus';
  import Kept from '$lib/ui/Kept.svelte';
  import { AtLeisure } from '$lib/ui/leisure.svelte';
  import Above from './Above.svelte';
  import Chart from './Chart.svelte';
  import Coats from './Coats.svelte';
  import { Drawing } from './drawing.svelte';
  import { PieceEditor } from './editor.svelte';

  const editor = $derived(new PieceEditor(page.params['id']!));
  const piece = $derived(editor.piece);
  const plan = $derived(editor.plan);
  const settings = $derived(shared.settings);
  /** Where it stands is read beside what is planned, and does not hold it up. */
  let standings = $state.raw<typeof import('./stands')>();
  void import('./stands').then((found) => (standings = found));
  const standing = $derived(standings?.whereStands(editor.id, minutes.now));

  let chosen = $state('');
  const drawing = $derived(new Drawing(editor.id));

  /** A coat was pointed at in the section, or a part of the board on the chart: its coat and its cup are chosen. */
  function choose(coatId: string, part: number) {
    chosen = coatId;
    const coat = plan?.coats.find((c) => c.coat.id === coatId);
    drawing.cup = part > 0 ? coat?.cups.find((c) => c.id.tint === plan!.cut.sea.length - part)?.key : undefined;
  }
  function choosePart(part: number) {
    const area = plan?.piece.sea.areas?.[part - plan.cut.sea.length - 1];
    const kind = part === 0 ? 'sand' : 'sea';
    const coat = plan?.coats.find(({ coat: { over, ...c } }) =>
      area ? over?.kind === 'area' && over.areaId === area.id : c.kind === kind,
    );
    if (coat) choose(coat.coat.id, part);
  }
  /** The coat looked at: the chosen one, else the first that is still to be poured. */
  const selected = $derived.by(() => {
    const coats = piece?.coats ?? [];
    if (coats.some((c) => c.id === chosen)) return chosen;
    const next = standing?.next?.coatIds ?? [];
    return (coats.find((c) => next.includes(c.id) && c.kind === 'sea') ?? coats.find((c) => next.includes(c.id)) ?? coats.at(-1))?.id ?? '';
  });
  const pourIndex = $derived(Math.max(0, plan?.pours.findIndex((p) => p.coats.some((c) => c.coat.id === selected)) ?? 0));
  const pour = $derived(plan?.pours[pourIndex]);
  /** An opened coat takes the place of the cups; one key brings them back. */
  let opened = $state(false);
  const open = $derived(opened ? plan?.coats.find((c) => c.coat.id === selected) : undefined);
  function close() {
    if (!opened) return;
    opened = false;
    void focusOn(`coat ${selected}`);
  }
  /** What is said of days and nights is read anew every ten minutes. */
  const LATELY = 600_000;
  const lately = $derived(Math.floor(minutes.now / LATELY) * LATELY);
  /** While something is dragged, what is to be minded follows when there is time. */
  const minded = new AtLeisure(() => plan);
  /** Advice is fetched when the screen has been drawn: what is to be minded does not hold up what is planned. */
  let advice = $state.raw<typeof import('./minded')>();
  onMount(async () => (advice = await import('./minded')));
  const findings = $derived(
    advice && minded.current && settings
      ? advice.mindedOf(minded.current, shared.write, shared.pieces ?? [], { standing, room: shared.room, now: lately })
      : [],
  );
  const ofBoard = $derived(findings.filter((f) => f.where.pour === undefined && f.where.coatId === undefined));
  const ofPour = $derived(
    findings.filter(
      (f) => f.where.pour === pourIndex || (f.where.pour === undefined && pour?.coats.some((c) => c.coat.id === f.where.coatId)),
    ),
  );
  const batch = $derived(
    pour && (pour.batches.find((b) => b.resin.id === plan?.piece.coats.find((c) => c.id === selected)?.resinId) ?? pour.batches[0]),
  );

  const typing = (event: KeyboardEvent): boolean => event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;

  $effect(() =>
    tinykeys(window, {
      Escape: close,
      '$mod+z': (event) => {
        if (!typing(event)) {
          event.preventDefault();
          void editor.undo();
        }
      },
      '$mod+Shift+z': (event) => {
        if (!typing(event)) {
          event.preventDefault();
          void editor.redo();
        }
      },
      '$mod+y': (event) => {
        if (!typing(event)) {
          event.preventDefault();
          void editor.redo();
        }
      },
    }),
  );
</script>

<svelte:head><title>{piece?.name ?? 'Piece'} · Nerite</title></svelte:head>

{#if piece && plan && settings}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
    <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
      <h1 class="text-[28px] leading-tight">{piece.name}</h1>
      <p class="min-w-0 flex-1 basis-60 text-[13px] text-soft">
        {writeBoard(piece, shared.write)}{piece.dueOn ? ` · due ${dayMonth(Date.parse(piece.dueOn))}` : ''}<br /><span class="text-ink"
          >{standing ? standings?.doingNow(standing, minutes.now) : ''}</span
        >
      </p>
      <div class="ml-auto flex flex-wrap items-center gap-2">
        <Kept keeping={editor.keeping} />
        <button type="button" class="button" disabled={!editor.undoable.undo} title={editor.undoable.undo} onclick={() => editor.undo()}
          >Undo</button
        >
        <button type="button" class="button" disabled={!editor.undoable.redo} title={editor.undoable.redo} onclick={() => editor.redo()}
          >Redo</button
        >
        <a class="button" href="/pieces/{piece.id}/print">Print</a>
        <a class="button" href="/pieces/{piece.id}/board">Board</a>
        <a class="button" href="/pieces/{piece.id}/clock">Clock</a>
        <a class="button" href="/pieces/{piece.id}/level">Level</a>
        {#if standing?.open}
          <a class="button button-main" href="/pour/{standing.open.id}">Go on pouring</a>
        {:else if pour && standing && standings}
          <standings.StartPour {plan} {standing} looked={pourIndex} />
        {:else if pour}
          <!-- its room is kept, so that nothing moves when it comes -->
          <span class="button invisible">Start the pour</span>
        {/if}
      </div>
    </div>
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,37fr)_minmax(0,63fr)] xl:grid-cols-[minmax(0,45fr)_minmax(0,57fr)]">
      <div class="min-h-0 min-w-0 max-lg:min-h-130">
        <Chart {editor} {plan} {drawing} findings={ofBoard} {selected} onpart={choosePart} />
      </div>
      <!-- the section gives up some of its height to the choices of an opened coat -->
      <div class="grid min-h-0 min-w-0 gap-3 {open ? 'lg:grid-rows-[160px_minmax(0,1fr)]' : 'lg:grid-rows-[204px_minmax(0,1fr)]'}">
        <Above {plan} {drawing} {batch} pour={pour ? pourIndex : undefined} {selected} onselect={choose} />
        <div class="grid min-h-0 gap-3 sm:grid-cols-[minmax(0,226fr)_minmax(0,460fr)]">
          <Coats {editor} {plan} {findings} bind:selected={() => selected, (id) => choose(id, 0)} bind:opened />
          {#if open}{#await import('./CoatDetail.svelte') then { default: CoatDetail }}<CoatDetail
                {editor}
                {plan}
                c={open}
                findings={findings.filter((f) => f.where.coatId === selected)}
                onmoved={(id) => focusOn(`coat ${id}`)}
                onback={close}
              />{/await}{:else}{#await import('./Cups.svelte') then { default: Cups }}<Cups
                {editor}
                {plan}
                {drawing}
                {pour}
                number={pourIndex + 1}
                findings={ofPour}
                onselect={(id) => (chosen = id)}
              />{/await}{/if}
        </div>
      </div>
    </div>
  </main>
{:else if piece && editor.trouble}
  {#await import('./Undrawable.svelte') then { default: Undrawable }}<Undrawable {editor} {piece} />{/await}
{:else if shared.pieces && !shared.pieces.some((p) => p.id === editor.id)}
  <main class="p-4">
    {#await import('$lib/ui/Missing.svelte') then { default: Missing }}
      <Missing
        says="This piece is not in the studio"
        why="It was removed, or the studio was replaced by another file."
        href="/pieces"
        on="All pieces"
      />
    {/await}
  </main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Reading the piece.</main>
{/if}
