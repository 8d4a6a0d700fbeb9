<script lang="ts">
  import { limits, type Slope } from '#core/document';
  import { withCupInserted, withoutCup } from '#core/edit';
  import { deltaE } from '#core/tint';
  import { readWithin, volume, writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import { apart } from './words';
  import type { MadeCup, SlopeDraft, Worked } from './slope.svelte';

  /** The chosen cup: its name and amount, what goes into it, whether it is kept as it is, and its neighbours. */
  let { draft, work, cup, onpick }: { draft: SlopeDraft; work: Worked; cup: MadeCup; onpick: (cupId: string) => void } = $props();

  const unit = $derived(shared.settings!.volume);
  const at = $derived(work.slope.cups.findIndex((c) => c.id === cup.cup.id));
  const total = $derived(cup.made.recipe.reduce((sum, p) => sum + p.load, 0));
  const rounding = $derived(deltaE(cup.seen, cup.madeSeen));

  /** The slope with this cup changed. */
  const withCup =
    (id: string, change: (c: Slope['cups'][0]) => Slope['cups'][0]) =>
    (slope: Slope): Slope => ({ ...slope, cups: slope.cups.map((c) => (c.id === id ? change(c) : c)) });

  function rename(event: Event & { currentTarget: HTMLInputElement }) {
    const name = event.currentTarget.value.trim().slice(0, 80);
    if (name && name !== cup.cup.name)
      void draft.commit(
        `Rename ${cup.cup.name}`,
        withCup(cup.cup.id, (c) => ({ ...c, name })),
      );
    else event.currentTarget.value = cup.cup.name;
  }
  function lock() {
    const { id, name, recipe: locked } = cup.cup;
    const recipe = $state.snapshot(cup.recipe);
    void draft.commit(
      locked ? `Let ${name} follow the slope` : `Keep ${name} as it is`,
      withCup(id, ({ recipe: _, ...c }) => (locked ? c : { ...c, recipe })),
    );
  }
  async function insert(before: number) {
    await draft.commit('Put a cup in', (slope) => withCupInserted(slope, before));
    const added = draft.current?.cups[before];
    if (added) onpick(added.id);
  }
  function remove() {
    const { id, name } = cup.cup;
    void draft.commit(`Take ${name} out`, (slope) => withoutCup(slope, id));
    onpick(work.slope.cups[at === 0 ? 1 : at - 1]!.id);
  }
  const full = $derived(work.slope.cups.length >= limits.slopeCups.max);
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-y border-rule py-1.5 text-[13px]">
  <label class="flex items-center gap-1.5 text-soft"
    >cup<input class="input w-28! min-h-7! px-2! text-ink" value={cup.cup.name} maxlength="80" onchange={rename} /></label
  >
  <LiveField
    narrow
    tight
    label="holds"
    value={cup.cup.ml}
    shows={shared.write.volume(cup.cup.ml)}
    read={(t) => readWithin(volume, t, { min: 0.1, max: limits.vessel.max }, 'A cup', (v) => shared.write.volume(v), unit)}
    commit={(ml) =>
      draft.commit(
        `Change the amount of ${cup.cup.name}`,
        withCup(cup.cup.id, (c) => ({ ...c, ml })),
      )}
  />
  <button type="button" class="chip" aria-pressed={Boolean(cup.cup.recipe)} onclick={lock}
    >{cup.cup.recipe ? 'Unlock it' : 'Lock it'}</button
  >
  <button type="button" class="chip" disabled={full} onclick={() => insert(at)}>Insert before</button>
  <button type="button" class="chip" disabled={full} onclick={() => insert(at + 1)}>Insert after</button>
  <button type="button" class="chip" disabled={work.slope.cups.length <= limits.slopeCups.min} onclick={remove}>Take out</button>
  <p class="basis-full text-soft">
    Colourant {writeShare(total)} of the mix; its resin takes {writeShare(work.means.resin.loadLimit)}. In whole drops {apart(rounding)}.
  </p>
</div>
