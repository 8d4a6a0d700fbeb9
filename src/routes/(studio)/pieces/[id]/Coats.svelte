<script lang="ts">
  import type { DndEvent } from 'svelte-dnd-action';
  import type { Finding } from '#core/advice';
  import type { Coat } from '#core/document';
  import type { CoatPlan, PiecePlan } from '#core/plan';
  import { shared } from '$lib/store/shared.svelte';
  import { focusOn } from '$lib/ui/focus';
  import { handle, sortable } from '$lib/ui/sorting';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { PieceEditor } from './editor.svelte';
  import { overWords, waitWords } from './words';

  /** The coats, top first, to be put in order by dragging or with Alt and the arrow keys; the chosen one opens beside them. */
  let {
    editor,
    plan,
    findings,
    selected = $bindable(),
    opened = $bindable(),
  }: {
    editor: PieceEditor;
    plan: PiecePlan;
    findings: Finding[];
    selected: string;
    /** Whether what the chosen coat is planned with stands open beside the list. */
    opened: boolean;
  } = $props();

  /** A press chooses a coat; a second one opens it, and a third closes it again. */
  function press(coatId: string) {
    if (coatId === selected) opened = !opened;
    else selected = coatId;
  }

  interface Row {
    /** As the drag knows it: what stands in for a dragged row has an id of its own. */
    id: string;
    coatId: string;
  }
  /** The order as it is stored; the same list for as long as it is the same order, so that the zone of the drag rests. */
  const ids = $derived(plan.coats.map((c) => c.coat.id).join('|'));
  const stored = $derived(
    ids
      .split('|')
      .filter(Boolean)
      .reverse()
      .map((id): Row => ({ id, coatId: id })),
  );
  /** The order while a coat is dragged. */
  let dragged = $state.raw<Row[]>();
  const rows = $derived(dragged ?? stored);
  const marks = (c: CoatPlan): string | undefined => findings.find((f) => f.where.coatId === c.coat.id && f.severity !== 'note')?.severity;

  /** Where the list is short, or fingers want large buttons, what may be added comes after the coats and scrolls with them. */
  const coarse = matchMedia('(pointer: coarse)').matches;
  const inList = $derived(opened || coarse);

  /** What changes them is fetched when something is changed. */
  const edits = () => import('#core/edit');

  async function drop({ detail }: CustomEvent<DndEvent<Row>>) {
    dragged = detail.items;
    const ids = detail.items.map((row) => row.coatId).reverse();
    const { withCoatOrder } = await edits();
    if (ids.join() !== plan.piece.coats.map((c) => c.id).join())
      void editor.commit('Put the coats in another order', (p) => withCoatOrder(p, ids));
    dragged = undefined;
  }

  async function key(event: KeyboardEvent, c: CoatPlan) {
    const by = event.altKey ? { ArrowUp: 1, ArrowDown: -1 }[event.key] : undefined;
    if (!by) return;
    event.preventDefault();
    const [id, to] = [c.coat.id, c.number - 1 + by];
    const { withCoatMoved } = await edits();
    await editor.commit(`Move ${c.name} ${by > 0 ? 'up' : 'down'}`, (p) => withCoatMoved(p, id, to));
    await focusOnCoat(id);
  }

  const addable: Coat['kind'][] = ['seal', 'base', 'sand', 'sea', 'wave', 'thread', 'glaze', 'clear', 'top'];

  async function add(kind: Coat['kind']) {
    const { piece, means } = plan;
    const { newCoatId, resinFor, startingCoat, withCoatAdded } = await edits();
    const resinId = resinFor(piece.coats, kind) ?? means.resins[0]?.id;
    if (!resinId || piece.coats.length >= 12) return;
    const coat = startingCoat(kind, newCoatId(piece, kind), resinId, piece.sea.edges.length + 1, means);
    await editor.commit(`Add a coat of ${kind}`, (p) => withCoatAdded(p, coat));
    selected = coat.id;
    opened = true;
    await focusOnCoat(coat.id);
  }

  const focusOnCoat = (coatId: string) => focusOn(`coat ${coatId}`);
</script>

{#snippet adding()}
  <div class="flex shrink-0 flex-wrap items-center border-t border-rule px-3 py-0.5 text-[13px]">
    <span class="text-soft">Add</span>
    {#each addable as kind (kind)}
      <button
        type="button"
        class="button button-quiet min-h-6! px-[3px]! text-[13px]"
        disabled={plan.coats.length >= 12}
        onclick={() => add(kind)}>{kind}</button
      >
    {/each}
  </div>
{/snippet}

<Sheet title="Coats" aside="top first" class="h-full">
  <div class="relative min-h-0 grow overflow-y-auto">
    <div
      use:sortable={{ items: rows, type: 'coats' }}
      onconsider={(e: CustomEvent<DndEvent<Row>>) => (dragged = e.detail.items)}
      onfinalize={drop}
      aria-label="Coats, top first"
    >
      {#each rows as { id, coatId } (id)}
        {@const c = plan.coats.find((own) => own.coat.id === coatId)!}
        {@const here = coatId === selected}
        <div class="border-b border-rule {here ? 'border-l-3 border-l-buoy bg-paper' : 'bg-sheet'}">
          <div class="flex gap-1 px-3 py-1 {opened ? 'leading-[1.2]' : 'leading-[1.3]'}">
            <span
              use:handle
              class="-ml-2 w-5 shrink-0 cursor-grab text-center text-soft"
              aria-label="Move {c.name}, coat {c.number}; Enter, then the arrow keys">{c.number}</span
            >
            <button
              type="button"
              class="flex min-w-0 grow gap-2 text-left"
              aria-expanded={here && opened}
              data-focus="coat {coatId}"
              onclick={() => press(coatId)}
              onkeydown={(e) => key(e, c)}
            >
              <span class="sr-only">{c.number}</span>
              <span class="min-w-0 grow">
                <span class="block truncate {here ? 'font-bold' : ''}"
                  >{c.name}
                  {#if marks(c)}<span class="text-[13px] font-bold text-buoy">{marks(c)}</span>{/if}</span
                >
                {#if opened}<span class="block truncate text-[13px] text-soft">{overWords(c.coat, shared.write, plan.piece.sea)}</span>{/if}
                <span class="block truncate text-[13px] text-soft">{waitWords(plan, c)}</span>
                {#if here && !opened}<span class="text-[13px] underline">Change it</span>{/if}
              </span>
              <span class="shrink-0 text-right"
                ><span class="block">{shared.write.fine(c.film)}</span><span class="block text-[13px] text-soft"
                  >{shared.write.volume(c.ml)}</span
                ></span
              >
            </button>
          </div>
        </div>
      {/each}
    </div>
    {#if inList}{@render adding()}{/if}
    {#if !rows.length}<p class="p-3 text-soft">No coats yet. Add the first one: sand for a beach, or the sea.</p>{/if}
  </div>
  {#if !inList}{@render adding()}{/if}
</Sheet>
