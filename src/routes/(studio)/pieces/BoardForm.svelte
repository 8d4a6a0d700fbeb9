<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import type { Snippet } from 'svelte';
  import { beach as beaches, hasBeach, startingSeas, type StartingSea } from '#core/craft';
  import { seaMisfit, type BoardAnswers } from '#core/edit';
  import type { Beach, Piece, Resin, Sea, Settings } from '#core/document';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import BoardPreview from './form/BoardPreview.svelte';
  import BoardFields from './form/BoardFields.svelte';
  import type { Own } from '#core/formats';
  import ShapeFields from './form/ShapeFields.svelte';
  import { restWords } from './form/rest';
  import RestFields from './form/RestFields.svelte';
  import { readBoard, readersOf, restReads, typedFrom, type Exact } from './form/typed';

  /** What is asked about a board, new or on the table. Sizes are read as written, in any unit; the board is drawn beside. */
  interface Props {
    start: BoardAnswers;
    settings: Settings;
    /** For a new board: resins to choose from, and the sea it starts with. */
    resins?: Resin[];
    does: string;
    /** The piece whose board is asked about; none for a new one. */
    of?: Piece;
    onanswer: (answers: BoardAnswers, drawn: { start: StartingSea; beach: Beach | 'bare'; sea?: Sea }) => void;
    /** Further questions, and what else may be done, beside the main button. */
    more?: Snippet;
    beside?: Snippet;
  }
  let { start, settings, resins, does, of, onanswer, more, beside }: Props = $props();

  /** Lengths as they were written rounded: a text that was left alone is what it was. */
  const exact: Exact = new Map();
  // svelte-ignore state_referenced_locally
  let typed = $state(typedFrom(start, shared.write, exact));
  /** An outline of thousands of points is kept as it is: it is replaced, never changed. */
  // svelte-ignore state_referenced_locally
  let outline = $state.raw(start.shape.kind === 'outline' ? start.shape : undefined);
  let begin = $state<StartingSea>('open shore');
  let beach = $state<Beach | 'bare'>('in resin');
  /** The sea of a drawing that was taken as it is. */
  let sea = $state.raw<Sea>();
  let insist = $state(false);
  /** What has a usual answer stays folded until it is asked for, or something in it cannot be read. */
  // svelte-ignore state_referenced_locally
  let rest = $state(start.holes !== undefined && start.holes.length > 0);

  const read = $derived(readersOf(shared.write, exact));
  const reading = $derived(readBoard(typed, outline, read));
  /** Why the sea it would start with does not fit the board. */
  const misfit = $derived(
    resins && !sea && reading.ok ? seaMisfit(begin, { shape: reading.answers.shape, holes: reading.answers.holes ?? [] }, 5) : undefined,
  );
  const seas = startingSeas.map(({ name }) => ({ value: name, label: name }));
  /** The board is drawn before it has a name. */
  const shown = $derived(readBoard({ ...typed, name: typed.name.trim() || 'a board' }, outline, read));

  function take(own: Own) {
    typed = { ...typedFrom({ ...start, shape: own.shape, holes: own.holes }, shared.write, exact), name: typed.name };
    if (own.shape.kind === 'outline') outline = own.shape;
    sea = own.sea;
  }

  function submit(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    if (reading.ok && !misfit) onanswer(reading.answers, { start: begin, beach, ...(sea && { sea }) });
    else rest ||= !restReads(typed, read);
  }
</script>

<form class="grid gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,340px)]" onsubmit={submit} novalidate>
  <div class="sheet flex flex-col gap-3 self-start p-4">
    <div class="grid gap-x-4 gap-y-2.5 sm:grid-cols-2 xl:grid-cols-4">
      <Field label="Name" bind:text={typed.name} read={read.name} {insist} />
      <ShapeFields bind:typed bind:outline {read} {insist} {settings} onown={take} />
      <BoardFields bind:typed {read} {insist} {settings} />
      {#if resins}
        {#if resins.length}<Choice
            label="Resin"
            bind:value={typed.resinId}
            options={resins.map((r) => ({ value: r.id, label: r.name }))}
          />{/if}
        {#if !sea}<Choice
            label="Sea to start from"
            bind:value={begin}
            options={seas}
            hint={startingSeas.find((s) => s.name === begin)?.says}
          />
          {#if hasBeach(begin)}<Choice
              label="Its beach"
              bind:value={beach}
              options={beaches.ways}
              hint={beaches.ways.find((w) => w.value === beach)?.does}
            />{/if}{:else}<p class="self-end pb-2 text-[13px] text-soft">Its sea comes with the drawing.</p>{/if}
      {/if}
    </div>
    <details class="border-t border-rule pt-2" bind:open={rest}>
      <summary class="cursor-pointer"
        ><span class="font-semibold">The rest</span> <span class="text-[13px] text-soft">{restWords(typed)}</span></summary
      >
      <div class="mt-2"><RestFields bind:typed {read} {insist} {settings} /></div>
    </details>
    {@render more?.()}
  </div>
  <div class="flex flex-col gap-3 self-start lg:sticky lg:top-3">
    <BoardPreview answers={shown.ok ? shown.answers : undefined} says={shown.ok ? undefined : 'as last read'} sea={begin} {beach} {of} />
    {#if misfit}<p class="text-[13px] text-buoy" role="alert">{misfit}</p>{/if}
    {#if insist && !reading.ok}<p class="text-[13px] text-buoy" role="alert">{reading.says}</p>{/if}
    <div class="flex flex-wrap gap-2">
      <button type="submit" class="button button-main">{does}</button>
      {@render beside?.()}
    </div>
  </div>
</form>
