<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { limits, type Piece, type Sea } from '#core/document';
  import { duplicated, withDrawnSea, withShape } from '#core/edit';
  import type { BoardAnswers } from '#core/edit';
  import { length, readWithin } from '#core/units';
  import Field from '$lib/ui/Field.svelte';
  import { zone } from '$lib/zone';
  import { readPiece } from '$lib/store/studio';
  import { addPiece, editPiece, removePiece, undo } from '$lib/store/edits';
  import { Live } from '$lib/store/live.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Confirm from '$lib/ui/Confirm.svelte';
  import BoardForm from '../../BoardForm.svelte';

  const id = $derived(page.params['id']!);
  const stored = $derived.by(() => {
    const key = id;
    return new Live(async () => ({ found: await readPiece(key) }));
  });
  const piece = $derived(stored.current?.found);
  let removing = $state(false);

  const local = (iso: string | undefined): string => (iso ? zone.civil(Date.parse(iso)) : '');
  const answersOf = (p: Piece): BoardAnswers => ({
    name: p.name,
    count: p.count,
    use: p.use,
    shape: p.shape,
    thickness: p.thickness,
    surface: p.surface,
    edge: p.edge,
    holes: p.holes,
    ...(p.wallHeight !== undefined && { wallHeight: p.wallHeight }),
    ...(p.tapeOff && { tapeOff: p.tapeOff }),
    ...(p.clock && { clock: p.clock }),
    ...(p.hangerKg !== undefined && { hangerKg: p.hangerKg }),
    resinId: '',
  });
  // both start from what is stored and are kept as typed until the form is sent
  let pourAt = $derived(local(piece?.pourAt));
  let dueOn = $derived(piece?.dueOn ?? '');

  let besideId = $derived(piece?.beside?.pieceId ?? '');
  let gap = $derived(shared.write.length(piece?.beside?.gap ?? 20));
  const write = (mm: number): string => shared.write.length(mm);
  const readGap = (text: string) => readWithin(length, text, limits.gap, 'A space', write, shared.settings?.length);

  /** Years a calendar here reaches: a slip of the keyboard is none of them. */
  const inYears = (text: string): boolean => !text || /^(19[7-9]|20\d|21\d)\d-/.test(text);
  const astray = $derived(inYears(pourAt) && inYears(dueOn) ? '' : 'Give a year from 1970 to 2199.');

  /** What the form decides, so that leaving an answer out takes it off the piece. */
  const ASKED = ['wallHeight', 'tapeOff', 'clock', 'hangerKg', 'pourAt', 'dueOn', 'beside'] as const;

  async function save({ resinId: _, ...answers }: BoardAnswers, { sea }: { sea?: Sea }) {
    const space = readGap(gap);
    if ((besideId && !space.ok) || astray) return;
    const moment = pourAt ? new Date(zone.momentOf(pourAt)).toISOString() : undefined;
    const stored = await attempt(() =>
      editPiece(id, 'Change the board', (old) => {
        const shaped = withShape(old, answers.shape);
        const kept = { ...(sea ? withDrawnSea(shaped, sea) : shaped) };
        for (const key of ASKED) delete kept[key];
        return {
          ...kept,
          ...answers,
          ...(moment && { pourAt: moment }),
          ...(dueOn && { dueOn }),
          ...(besideId && space.ok && { beside: { pieceId: besideId, gap: space.value } }),
        };
      }),
    );
    if (stored) await goto(`/pieces/${id}`);
  }

  /** The same board, sea and coats once more, as they are stored. */
  async function again() {
    const { pieces, summaries } = shared;
    if (!piece || !pieces || !summaries) return;
    const ids = [...pieces.map((p) => p.id), ...summaries.flatMap((p) => p.of.map((o) => o.pieceId))];
    const copy = duplicated(
      piece,
      pieces.map((p) => p.name),
      ids,
    );
    if (await attempt(() => addPiece(copy))) await goto(`/pieces/${copy.id}`);
  }

  async function remove() {
    if (!piece || !(await attempt(() => removePiece(piece)))) return;
    const { id: removed, name } = piece;
    await goto('/pieces');
    void said.done(`${name} was removed.`, {
      duration: 15_000,
      action: { label: 'Bring it back', onClick: () => void attempt(() => undo(removed)) },
    });
  }
</script>

<svelte:head><title>Board of {piece?.name ?? 'a piece'} · Nerite</title></svelte:head>

<main class="flex flex-col gap-2 px-4 pt-2 pb-4">
  {#if piece && shared.settings}
    <h1 class="text-[28px] leading-tight">Board of {piece.name}</h1>
    {#key piece}
      <BoardForm start={answersOf(piece)} settings={shared.settings} does="Keep" of={piece} onanswer={save}>
        {#snippet more()}
          <div class="grid gap-x-4 gap-y-2.5 border-t border-rule pt-3 sm:grid-cols-2 xl:grid-cols-4">
            <label class="block text-[13px] font-semibold"
              >Hangs to the right of<select class="input mt-0.5 font-normal" bind:value={besideId}
                ><option value="">nothing: it hangs alone</option
                >{#each (shared.pieces ?? []).filter((p) => p.id !== id) as p (p.id)}<option value={p.id}>{p.name}</option>{/each}</select
              ></label
            >
            {#if besideId}<Field label="Space between" bind:text={gap} read={readGap} insist />{/if}
            <label class="block text-[13px] font-semibold"
              >Next pour planned for<input type="datetime-local" class="input mt-0.5 font-normal" bind:value={pourAt} /></label
            >
            <label class="block text-[13px] font-semibold"
              >Due on<input type="date" class="input mt-0.5 font-normal" bind:value={dueOn} /></label
            >
            {#if astray}<p class="self-end text-[13px] text-buoy" role="alert">{astray}</p>{/if}
          </div>
        {/snippet}
        {#snippet beside()}
          <a class="button" href="/pieces/{id}">Back to the chart</a>
          <button type="button" class="button" onclick={again}>Make another like it</button>
          <button type="button" class="button button-quiet min-h-[34px]!" onclick={() => (removing = true)}>Remove this piece</button>
        {/snippet}
      </BoardForm>
    {/key}
    <Confirm bind:open={removing} title="Remove {piece.name}?" does="Remove it" onconfirm={remove}
      >Its drawing and its coats go. Pours already in the log stay there.</Confirm
    >
  {:else if stored.current && !piece}
    <Missing
      says="This piece is not in the studio"
      why="It was removed, or the studio was replaced by another file."
      href="/pieces"
      on="All pieces"
    />
  {:else}
    <p class="text-soft" aria-busy="true">Reading the piece.</p>
  {/if}
</main>
