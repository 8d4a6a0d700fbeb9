<script lang="ts">
  import { limits, slopeGrounds, type SlopeGround } from '#core/document';
  import { groundNamed, hexOf, recipeSeen, seenColour, stackOver, recipeLayer, type Rgb } from '#core/tint';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import type { MadeCup, SlopeDraft, Worked } from './slope.svelte';

  /** The slope in its film over each ground: what the same drops become on another board. */
  interface Props {
    work: Worked;
    cups: MadeCup[];
    /** To change its film and its ground with; a slope beside another is only looked at. */
    draft?: SlopeDraft | undefined;
    /** What the coat it is used on really lies over, for each cup; undefined where no model knows it. */
    below?: { name: string; grounds: (Rgb | undefined)[] } | undefined;
    picked: string;
  }
  let { work, cups, draft, below, picked }: Props = $props();

  const thin = (mm: number): string => shared.write.film(mm);
  const film = (cup: MadeCup, ground: Rgb): Rgb => recipeSeen(cup.made.recipe, work.means.colourants, work.slope.film, ground);
  const rows = $derived([
    ...slopeGrounds.map((ground) => ({
      name: ground as string,
      planned: ground === work.slope.ground,
      seen: cups.map((c): Rgb | undefined => film(c, groundNamed(ground).internal)),
    })),
    {
      name: 'two layers of it',
      planned: false,
      seen: cups.map((c): Rgb | undefined => {
        const layer = recipeLayer(c.made.recipe, work.means.colourants, work.slope.film);
        return seenColour(stackOver([layer, layer], work.means.ground));
      }),
    },
    ...(below
      ? [{ name: below.name, planned: false, seen: cups.map((c, i) => (below.grounds[i] ? film(c, below.grounds[i]) : undefined)) }]
      : []),
  ]);
</script>

<div class="-mb-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-[13px] text-soft">
  {#if draft}
    <LiveField
      narrow
      tight
      label="On the board, in a film of"
      value={work.slope.film}
      shows={thin(work.slope.film)}
      read={(t) => reads.current.film(t, limits.film, 'A film')}
      commit={(v) => draft.commit('Change the film', (s) => ({ ...s, film: v }))}
    />
    <label class="flex items-center gap-2"
      >over<select
        class="input min-h-7! w-auto! px-1! text-ink"
        value={work.slope.ground}
        onchange={(e) => {
          const ground = e.currentTarget.value as SlopeGround;
          void draft.commit('Change the ground', (s) => ({ ...s, ground }));
        }}
        >{#each slopeGrounds as ground (ground)}<option>{ground}</option>{/each}</select
      ></label
    >
  {:else}
    <p>On the board, in a film of {thin(work.slope.film)}, over {work.slope.ground}</p>
  {/if}
</div>
<table class="w-full table-fixed text-[13px]" aria-label="Colours over each ground">
  <thead class="sr-only">
    <tr
      ><th scope="col">over</th>{#each cups as c (c.cup.id)}<th scope="col">{c.cup.name}</th>{/each}</tr
    >
  </thead>
  <tbody>
    {#each rows as row, r (r)}
      <tr>
        <th scope="row" class="w-20 pr-2 leading-none sm:w-28 text-left font-normal {row.planned ? 'font-bold text-ink' : 'text-soft'}"
          >{row.name}</th
        >
        {#each row.seen as seen, i (cups[i]!.cup.id)}
          {@const hex = seen && hexOf(seen)}
          <td
            class="relative h-5 border-y border-sheet {hex
              ? ''
              : 'bg-[repeating-linear-gradient(45deg,var(--line)_0_1px,transparent_1px_6px)]'}"
            style:background-color={hex}
            title="{cups[i]!.cup.name} over {row.name}: {hex ?? 'not known'}"
          >
            <span class="sr-only">{hex ?? 'not known'}</span>
            {#if row.planned && cups[i]!.cup.id === picked}<span class="absolute inset-0 border-2 border-buoy"></span>{/if}
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</table>
