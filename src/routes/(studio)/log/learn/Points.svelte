<script lang="ts">
  import { ENOUGH, writeFigure, type Lesson } from '#core/learn';
  import { shared } from '$lib/store/shared.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';

  /** Pours as points along a figure's own scale, with what the trade takes it for, what is planned with, and what they say. */
  let { lesson }: { lesson: Lesson } = $props();
  /** Fewer say nothing yet. */
  const says = $derived(lesson.pours >= ENOUGH);
  const [from, until] = $derived([lesson.value - lesson.spread, lesson.value + lesson.spread]);
  const all = $derived([...lesson.observed.map((o) => o.value), lesson.now, lesson.trade, ...(says ? [from, until] : [])]);
  const [low, high] = $derived([Math.min(...all), Math.max(...all)]);
  const W = 400;
  const x = (v: number): number => 20 + ((W - 40) * (v - low)) / (high - low || 1);
  const within = (v: number): number => Math.min(W - 70, Math.max(70, x(v)));
  const nameOf = (pourId: string): string => shared.summaries?.find((s) => s.id === pourId)?.pieces.join(', ') ?? 'a pour';
  const say = (v: number): string => writeFigure(lesson.figure, v, shared.write);
</script>

<div class="flex min-h-0 flex-col gap-2 overflow-y-auto p-3">
  <svg
    viewBox="0 0 {W} 92"
    class="w-full"
    role="img"
    aria-label="{lesson.observed.length} pours{says ? ` say ${say(lesson.value)}` : ''}, planned with {say(lesson.now)}"
  >
    {#if says}<rect x={x(from)} y="30" width={x(until) - x(from)} height="16" class="fill-rule" />{/if}
    <line x1="10" x2={W - 10} y1="38" y2="38" class="stroke-line" />
    {#if says}<line x1={x(lesson.value)} x2={x(lesson.value)} y1="26" y2="50" class="stroke-ink" stroke-width="2" />{/if}
    <line x1={x(lesson.now)} x2={x(lesson.now)} y1="18" y2="58" class="stroke-buoy" stroke-width="2" />
    {#each lesson.observed as o (o.pourId)}<circle cx={x(o.value)} cy="38" r="4" class="fill-sheet stroke-ink" />{/each}
    <text x={within(lesson.now)} y="12" text-anchor="middle" class="fill-buoy text-[12px]">you plan with {say(lesson.now)}</text>
    {#if says}<text x={within(lesson.value)} y="74" text-anchor="middle" class="fill-ink text-[12px] font-bold"
        >they say {say(lesson.value)}</text
      >{/if}
    <text x={within(lesson.trade)} y="89" text-anchor="middle" class="fill-soft text-[12px]">the trade: {say(lesson.trade)}</text>
  </svg>
  <ul class="text-[13px]">
    {#each lesson.observed as o (o.pourId)}
      <li class="flex justify-between gap-3 border-t border-rule py-0.5">
        <a class="underline" href="/log/{o.pourId}">{nameOf(o.pourId)}, {dayMonth(o.at)}</a><span>{say(o.value)}</span>
      </li>
    {/each}
  </ul>
</div>
