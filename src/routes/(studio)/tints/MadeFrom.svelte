<script lang="ts">
  import type { MixturePart } from '#core/document';
  import { totalLoad } from '#core/mix';
  import { swatchOf } from '#core/tint';
  import { bare, plain, readWithin, writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Field from '$lib/ui/Field.svelte';
  import LoadBar from '$lib/ui/LoadBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { SlopeDraft, Worked } from './slope.svelte';

  /** The colourants of a slope, by parts: those of the deep end, and those it runs toward at the shore. */
  let { draft, work }: { draft: SlopeDraft; work: Worked } = $props();

  const slope = $derived(work.slope);
  const used = $derived(work.means.colourants.filter((c) => [...slope.deep, ...slope.toward].some((s) => s.colourantId === c.id)));
  const others = $derived(work.means.colourants.filter((c) => !used.includes(c)));
  const partsOf = (shares: MixturePart[], id: string): number => shares.find((s) => s.colourantId === id)?.parts ?? 0;
  const heaviest = $derived.by(() => {
    const loads = work.cups.map((cup) => ({
      cup,
      load: totalLoad(
        cup.made.recipe.map((p) => ({ load: p.load, density: work.means.colourants.find((c) => c.id === p.colourantId)!.density })),
        work.means.resin,
      ),
    }));
    return loads.reduce((most, l) => (l.load > most.load ? l : most));
  });
  const swatch = (id: string): string =>
    swatchOf(
      work.means.colourants.find((c) => c.id === id)!,
      work.means.resin.loadLimit,
    );

  let typed = $state<Record<string, string>>({});
  function setParts(end: 'deep' | 'toward', id: string, name: string, parts: number) {
    const key = `${end} ${id}`;
    void draft
      .commit(`Change ${name} ${end === 'deep' ? 'in the deep' : 'at the shore'}`, (s) => {
        const kept = s[end].some((x) => x.colourantId === id);
        const shares = kept ? s[end].map((x) => (x.colourantId === id ? { ...x, parts } : x)) : [...s[end], { colourantId: id, parts }];
        return { ...s, [end]: shares.filter((x) => x.parts > 0) };
      })
      .then((stored) => {
        if (stored) delete typed[key];
      });
  }
  const add = (id: string) => draft.commit('Add a colourant', (s) => ({ ...s, deep: [...s.deep, { colourantId: id, parts: 1 }] }));
</script>

<Sheet title="Made from" class="max-h-64 shrink-0">
  {#snippet aside()}
    <p class="flex items-center gap-2 text-[13px]" title="{writeShare(work.means.resin.loadLimit)} of {work.means.resin.name} is the limit">
      <span class="text-soft">{heaviest.cup.cup.name}</span><LoadBar load={heaviest.load} limit={work.means.resin.loadLimit} />
    </p>
  {/snippet}
  <Scrolled label="Colourants" class="min-h-0">
    {#if !work.means.colourants.length}
      <p class="p-3 text-soft">
        There is no colourant on the shelf, so there is nothing to grade. <a class="underline" href="/shelf?view=colourants"
          >Put one there</a
        >.
      </p>
    {:else}
      <table class="w-full text-[13px]">
        <thead
          ><tr class="text-right text-soft [&>th]:px-2 [&>th]:py-0.5 [&>th]:font-normal"
            ><th scope="col" class="text-left">parts by weight</th><th scope="col">deep</th><th scope="col" class="whitespace-nowrap"
              >to shore</th
            ></tr
          ></thead
        >
        <tbody>
          {#each used as c (c.id)}
            <tr class="border-t border-rule">
              <th scope="row" class="px-3 py-0.5 text-left font-normal"
                ><span
                  class="mr-2 inline-block h-3.5 w-5 rounded-[2px] border border-line align-[-2px]"
                  style:background-color={swatch(c.id)}
                ></span>{c.name}</th
              >
              {#each ['deep', 'toward'] as const as end (end)}
                <td class="w-18 px-1 [&_.input]:w-full! [&_.input]:text-right [&_label]:sr-only">
                  <Field
                    narrow
                    tight
                    label="{c.name}, parts {end === 'deep' ? 'in the deep' : 'toward the shore'}"
                    read={(t) => readWithin(bare, t, { min: 0, max: 1000 }, 'A share', (v) => plain(v, 2))}
                    commit={(v) => setParts(end, c.id, c.name, v)}
                    bind:text={() => typed[`${end} ${c.id}`] ?? plain(partsOf(slope[end], c.id), 2), (t) => (typed[`${end} ${c.id}`] = t)}
                  />
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
      {#if !used.length}<p class="px-3 py-1 text-warn">Without a colourant every cup is clear. Add one.</p>{/if}
      <div class="flex flex-wrap items-center justify-between gap-2 border-t border-rule px-3 py-1.5 text-[13px]">
        {#if others.length}
          <div class="flex flex-wrap items-center gap-1" role="group" aria-label="Add a colourant">
            <span class="text-soft">Add</span>
            {#each others as c (c.id)}<button
                type="button"
                class="h-6 w-8 rounded-[2px] border border-line"
                style:background-color={swatch(c.id)}
                title={c.name}
                aria-label="Add {c.name}"
                onclick={() => add(c.id)}
              ></button>{/each}
          </div>
        {/if}
        {#if (shared.resins?.length ?? 0) > 1}
          <select
            class="input w-auto! min-h-7! px-1!"
            aria-label="Resin"
            value={slope.resinId}
            onchange={(e) => {
              const resinId = e.currentTarget.value;
              void draft.commit('Change the resin', (s) => ({ ...s, resinId }));
            }}
            >{#each shared.resins ?? [] as r (r.id)}<option value={r.id}>{r.name}</option>{/each}</select
          >
        {/if}
      </div>
    {/if}
  </Scrolled>
</Sheet>
