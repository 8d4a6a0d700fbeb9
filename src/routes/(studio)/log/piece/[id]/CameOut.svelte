<script lang="ts">
  import type { Aspect, Fault, Judged, Outcome } from '#core/document';
  import type { Session } from '#core/record';
  import { setOutcome } from '$lib/store/pours';
  import { attempt } from '$lib/ui/attempt';

  /** How one pour of a piece came out: by aspect, what went wrong, and what the next one is to have of it. */
  let { session, pieceId }: { session: Session; pieceId: string } = $props();
  const pourId = $derived(session.pour.id);
  const outcome = $derived<Outcome>(session.pour.outcomes?.find((o) => o.pieceId === pieceId) ?? { pieceId });

  const aspects: readonly { key: Aspect; label: string; asks: string }[] = [
    { key: 'slope', label: 'Slope', asks: 'do the blues run evenly from deep to pale' },
    { key: 'lacing', label: 'Lacing', asks: 'cells, their size and spread' },
    { key: 'reach', label: 'Reach', asks: 'how far the white went' },
    { key: 'edges', label: 'Edges', asks: 'of the wave, and of the board' },
    { key: 'surface', label: 'Surface', asks: 'pits, dust, dimples' },
    { key: 'level', label: 'Level', asks: 'did anything move' },
  ];
  const marks: readonly Judged[] = ['good', 'fair', 'poor'];

  const judge = (key: Aspect, mark: Judged) =>
    attempt(() =>
      setOutcome(pourId, pieceId, (was) => {
        const { [key]: now, ...rest } = was.aspects ?? {};
        const aspects = now === mark ? rest : { ...rest, [key]: mark };
        return { ...was, aspects: Object.keys(aspects).length ? aspects : undefined };
      }),
    );
  const without = (seen: Fault) =>
    attempt(() =>
      setOutcome(pourId, pieceId, (was) => {
        const faults = (was.faults ?? []).filter((f) => f.seen !== seen);
        return { ...was, faults: faults.length ? faults : undefined };
      }),
    );

  let typed = $state<string>();
  let writing = $state(0);
  const lesson = $derived(typed ?? outcome.lesson ?? '');
  async function keep(text: string) {
    typed = text;
    writing++;
    await attempt(() => setOutcome(pourId, pieceId, (was) => ({ ...was, lesson: text || undefined })));
    writing--;
  }
</script>

<div class="flex flex-col gap-4">
  <table class="w-full">
    <tbody>
      {#each aspects as { key, label, asks } (key)}
        <tr class="border-b border-rule">
          <th scope="row" class="py-1.5 pr-2 text-left font-normal"
            ><b>{label}</b><span class="block text-[12px] text-soft">{asks}</span></th
          >
          <td class="py-1.5 text-right whitespace-nowrap">
            <span role="group" aria-label={label} class="inline-flex">
              {#each marks as mark (mark)}
                <button
                  type="button"
                  class="chip rounded-none first:rounded-l-sheet last:rounded-r-sheet {outcome.aspects?.[key] === mark
                    ? 'border-ink! bg-ink! text-sheet!'
                    : ''}"
                  aria-pressed={outcome.aspects?.[key] === mark}
                  onclick={() => judge(key, mark)}>{mark}</button
                >
              {/each}
            </span>
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <div>
    <p class="flex items-baseline justify-between gap-2">
      <b>What went wrong</b><a class="underline" href="/log/wrong/{pourId}?piece={pieceId}">Find out why</a>
    </p>
    {#if outcome.faults?.length}
      <ul class="mt-1 flex flex-col gap-1">
        {#each outcome.faults as { seen, rescue } (seen)}
          <li class="flex items-baseline justify-between gap-2">
            <a class="underline" href="/log/wrong/{pourId}?piece={pieceId}&seen={encodeURIComponent(seen)}">{seen}</a>
            <span class="text-[13px] text-soft"
              >{rescue ? 'put into the plan' : ''}
              <button type="button" class="ml-2 underline" aria-label="It was not {seen}" onclick={() => without(seen)}>take off</button
              ></span
            >
          </li>
        {/each}
      </ul>
    {:else}<p class="text-[13px] text-soft">Nothing noted.</p>{/if}
  </div>
  <label class="font-semibold"
    >For the next one<textarea
      class="input mt-1 p-2! font-serif text-[17px] font-normal"
      rows="3"
      maxlength="4000"
      placeholder="What to do differently, or the same"
      value={lesson}
      oninput={(e) => keep(e.currentTarget.value)}
      onblur={() => !writing && (typed = undefined)}></textarea></label
  >
</div>
