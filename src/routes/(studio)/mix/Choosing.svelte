<script lang="ts">
  import type { Chosen } from '#core/plan';
  import type { Coming } from '#core/stock';
  import { weekday, clockTime } from '$lib/ui/clock.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** The pours that are still to come; those marked are mixed together. A piece is poured once in a session. */
  interface Props {
    coming: Coming[];
    chosen: Chosen[];
    onchoose: (chosen: { id: string; pour: number }[]) => void;
  }
  let { coming, chosen, onchoose }: Props = $props();

  const isIn = (c: Coming): boolean => chosen.some((k) => k.plan.piece.id === c.piece.id && k.pour === c.pour);

  function toggle(c: Coming) {
    const others = chosen.filter((k) => k.plan.piece.id !== c.piece.id).map((k) => ({ id: k.plan.piece.id, pour: k.pour }));
    onchoose(isIn(c) ? others : [...others, { id: c.piece.id, pour: c.pour }]);
  }
  const coats = (c: Coming): string => c.plan.pours[c.pour]!.coats.map((k) => k.name).join(', ');
  const when = (c: Coming): string => {
    const at = c.piece.pourAt && coming.find((k) => k.piece.id === c.piece.id) === c ? Date.parse(c.piece.pourAt) : undefined;
    return at ? ` · ${weekday(at)} ${clockTime(at)}` : '';
  };
</script>

<Sheet title="Poured together" class="max-lg:max-h-80">
  <Scrolled label="Pours to come" class="min-h-0 grow">
    <ul>
      {#each coming as c (`${c.piece.id}:${c.pour}`)}
        <li class="border-b border-rule last:border-b-0">
          <label class="flex cursor-pointer gap-2 px-3 py-1.5 hover:bg-paper">
            <input type="checkbox" class="mt-1" checked={isIn(c)} onchange={() => toggle(c)} />
            <span class="min-w-0"
              ><b class="font-semibold">{c.piece.name}</b>, pour {c.pour + 1}<span class="block text-[13px] text-soft"
                >{coats(c)}{when(c)}</span
              ></span
            >
          </label>
        </li>
      {:else}
        <li class="p-3 text-soft">No pour is to come.</li>
      {/each}
    </ul>
  </Scrolled>
</Sheet>
