<script lang="ts">
  import { sayWhen, type OnTable } from '#core/calendar';
  import { plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { planner } from '$lib/planner';
  import { dayAndTime } from '$lib/ui/clock.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import { zone } from '$lib/zone';

  /** Pieces whose films are on their way: how old each is beside what it is to reach, counted in the air it lay in. */
  let { table, now }: { table: OnTable[]; now: number } = $props();
  const hours = (h: number): string => `${plain(h, h < 10 ? 1 : 0)} h`;
  function says({ doing, at, touch }: OnTable): string {
    const touched = touch ? `. Not to be touched until ${sayWhen(touch, now, zone)}` : '';
    const never = at === Infinity;
    switch (doing) {
      case 'pouring':
        return 'Being poured now';
      case 'tacky':
        return never ? 'Tacky: too cold to set' : `Curing, tacky until ${sayWhen(at, now, zone)}${touched}`;
      case 'open':
        return `Open for the next coat until ${sayWhen(at, now, zone)}${touched}`;
      case 'scuff first':
        return 'To be scuffed and wiped before the next coat';
      case 'hardening':
        return never ? 'Hardening; too cold to be fully hard' : `Fully hard on ${dayAndTime(at)}${touched}`;
      case 'hard':
        return `Fully hard since ${dayAndTime(at)}`;
    }
  }
  const goals = {
    pouring: 'sets at',
    tacky: 'dry at',
    open: 'bonds until',
    'scuff first': 'hard at',
    hardening: 'hard at',
    hard: 'hard at',
  };
</script>

<ul>
  {#each table as row (row.piece.id)}
    {@const plan = shared.means && planner.planIfAble(row.piece, shared.means)}
    <li class="border-b border-rule">
      <a
        href={row.doing === 'pouring' ? `/pieces/${row.piece.id}?start` : `/pieces/${row.piece.id}`}
        class="flex items-center gap-4 px-3 py-2 hover:bg-paper"
      >
        <span class="flex h-16 w-28 shrink-0 items-center justify-center max-sm:hidden"
          >{#if plan}<Thumb {plan} class="max-h-full max-w-full" />{/if}</span
        >
        <span class="min-w-0 grow">
          <span class="block font-serif text-[20px]">{row.piece.name}</span>
          <span class="block">{says(row)}</span>
          <span class="block text-[13px] text-soft">poured {sayWhen(row.poured, now, zone)}</span>
        </span>
        <span class="w-40 shrink-0">
          <span class="flex justify-between text-[13px] text-soft"><span>age</span><span>{goals[row.doing]}</span></span>
          <span class="flex justify-between text-[17px]"><span>{hours(row.age)}</span><span>{hours(row.goal)}</span></span>
          <span
            class="mt-1 block h-1.5 bg-rule"
            role="progressbar"
            aria-valuemin={0}
            aria-valuemax={row.goal}
            aria-valuenow={Math.min(row.goal, row.age)}
            aria-label="{row.piece.name}: {hours(row.age)} of {hours(row.goal)} in age"
            title="Hours as the data sheet counts them, in the air it lay in"
            ><span class="block h-full bg-ink" style:width="{Math.min(100, (100 * row.age) / row.goal)}%"></span></span
          >
        </span>
      </a>
    </li>
  {/each}
</ul>
