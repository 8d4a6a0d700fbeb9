<script lang="ts">
  import { startingPiece, type BoardAnswers, withShape } from '#core/edit';
  import type { StartingSea } from '#core/craft';
  import type { Beach, Piece } from '#core/document';
  import { weightOf } from '#core/plan';
  import { edgeAmounts, hoursBefore, hoursOf, sayWork, workAfter, workBefore } from '#core/prepare';
  import { writeHours } from '#core/units';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';

  /** The board as answered so far: drawn to scale, measured, and the work it asks for before and after its resin. */
  interface Props {
    answers: BoardAnswers | undefined;
    says: string | undefined;
    /** The sea a new board starts with, or the piece whose sea and coats an old one keeps. */
    sea: StartingSea;
    beach: Beach | 'bare';
    of?: Piece | undefined;
  }
  let { answers, says, sea, beach, of }: Props = $props();

  const means = $derived(shared.means);
  /** The last board that could be read stays on show while something is being typed. */
  let last = $state.raw<BoardAnswers>();
  $effect(() => {
    if (answers) last = answers;
  });
  const shown = $derived(answers ?? last);
  const piece = $derived.by((): Piece | undefined => {
    if (!shown || !means?.resins.length) return undefined;
    const { resinId, ...answered } = shown;
    return of
      ? { ...withShape(of, shown.shape), ...answered }
      : startingPiece('preview', { ...answered, resinId: resinId || means.resins[0]!.id }, means, sea, beach);
  });
  const plan = $derived(piece && means ? planner.plan(piece, means) : undefined);
</script>

<Sheet
  title="This board"
  aside={says ?? (plan ? `${shared.write.length(plan.bounds.width)} × ${shared.write.length(plan.bounds.height)}` : '')}
>
  {#if plan && piece && means}
    <div class="p-3"><Thumb {plan} class="mx-auto h-38 w-full" /></div>
    <dl class="flex border-t border-rule text-[13px]">
      {#each [['Face', shared.write.area(plan.area)], ['Rim', shared.write.run(plan.rim)], ['Finished', shared.write.heavy(weightOf(plan).total * 1000)]] as [name, value] (name)}
        <div class="grow basis-0 border-l border-rule px-3 py-1.5 first:border-l-0">
          <dt>{name}</dt>
          <dd class="text-[15px]">{value}</dd>
        </div>
      {/each}
    </dl>
    <Scrolled label="Work on the board" class="border-t border-rule px-3 py-2 text-[13px] lg:max-h-60">
      <h3 class="font-bold">Before the resin, {writeHours(hoursBefore(piece, means.method))}</h3>
      <ol class="mt-1 flex list-decimal flex-col gap-1 pl-5">
        {#each workBefore(piece, means.method) as w (w.key)}
          {@const { does, why, caution } = sayWork(w, piece, shared.write)}
          <li>{does} <span class="text-soft">{why} {writeHours(hoursOf(w))}.{caution ? ` ${caution}` : ''}</span></li>
        {/each}
      </ol>
      <h3 class="mt-3 font-bold">After the last coat</h3>
      <ol class="mt-1 flex list-decimal flex-col gap-1 pl-5">
        {#each workAfter(piece, means.method) as w (w.key)}
          {@const { does, why, caution } = sayWork(w, piece, shared.write)}
          <li>{does} <span class="text-soft">{why}{caution ? ` ${caution}` : ''}</span></li>
        {/each}
      </ol>
      <p class="mt-3 text-soft">{edgeAmounts(piece)}</p>
    </Scrolled>
  {:else}<p class="p-3 text-soft">It is drawn here once its measures can be read.</p>{/if}
</Sheet>
