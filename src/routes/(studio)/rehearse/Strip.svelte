<script lang="ts">
  import { passesOf, tooMuchToKeep, withRehearsed } from '#core/rehearse';
  import { editPiece } from '$lib/store/edits';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import { besides } from './besides.svelte';
  import { passed } from './words';
  import type { Rehearsal } from './rehearsal.svelte';

  /** What was done, second by second: played, rested, frozen, and gone back in. */
  let { rehearsal }: { rehearsal: Rehearsal } = $props();

  /** A rest is drawn shorter than the air, that minutes of it leave room for seconds. */
  const drawn = (kind: string, seconds: number): number => (kind === 'rest' ? 12 + Math.min(120, seconds / 20) : seconds);
  const strip = $derived.by(() => {
    let x = 0;
    return rehearsal.spans.map((s) => {
      const from = x;
      x += drawn(s.kind, s.until - s.from);
      return { ...s, x: from, wide: x - from };
    });
  });
  const long = $derived(Math.max(60, ...strip.map((s) => s.x + s.wide)));
  const heat = $derived(rehearsal.spans.reduce((sum, s) => sum + (s.kind === 'air' ? s.until - s.from : 0), 0));
  const rested = $derived(rehearsal.spans.reduce((sum, s) => sum + (s.kind === 'rest' ? s.until - s.from : 0), 0));
  const running = $derived(rehearsal.doing === 'playing' || rehearsal.doing === 'resting');
  let to = $state<number>();
  /** The beginning of each stroke and rest: where one would go back to. */
  const stops = $derived(rehearsal.spans.filter((s) => s.kind !== 'back'));
  const last = $derived(stops.at(-1));

  /** Keeps what was done as the plan of the wave. */
  async function keep() {
    const { plan, wave, setup } = rehearsal;
    const passes = passesOf(rehearsal.moves);
    const tooMuch = tooMuchToKeep(passes);
    if (tooMuch) return void said.failed(tooMuch);
    const stored = await attempt(() =>
      editPiece(plan.piece.id, 'Keep the rehearsal', (piece) => ({
        ...piece,
        coats: piece.coats.map((c) => (c.id === wave.id && c.kind === 'wave' ? withRehearsed(piece, c, setup, passes) : c)),
      })),
    );
    if (stored) said.done(`Kept: ${plan.piece.name} is poured so now.`);
  }
  const air = $derived(stops.some((s) => s.kind === 'air'));
</script>

<div class="flex shrink-0 flex-wrap items-center gap-2 border-t border-rule px-3 py-2">
  {#if running}
    <button type="button" class="button" onclick={() => rehearsal.freeze()}>Freeze</button>
    <progress class="w-32" value={rehearsal.share} max="1" aria-label="How much of it is done"></progress>
  {:else}
    <button type="button" class="button" disabled={rehearsal.busy} onclick={() => rehearsal.play(rehearsal.pass())}>Make one pass</button>
    {#if rehearsal.drawing.strokes.length}
      <button type="button" class="button" disabled={rehearsal.busy} onclick={() => rehearsal.playDrawn()}
        >Play {rehearsal.drawing.strokes.length === 1 ? 'the stroke' : `${rehearsal.drawing.strokes.length} strokes`}</button
      >
      <button type="button" class="button button-quiet" onclick={() => rehearsal.drawing.takeOff()}>Take one off</button>
    {/if}
    <button type="button" class="button" disabled={rehearsal.busy} onclick={() => rehearsal.rest()}>Rest 30 min</button>
    {#if rehearsal.before.length && !rehearsal.spans.length}
      <button type="button" class="button" disabled={rehearsal.busy} onclick={() => rehearsal.play(rehearsal.before)}
        >The same air again</button
      >
    {/if}
  {/if}
  <div class="flex min-w-40 grow flex-col">
    <svg viewBox="0 0 {long} 10" preserveAspectRatio="none" class="h-4 w-full" aria-hidden="true">
      <path d="M0 9.500H{long}" class="stroke-line" stroke-width="0.500" />
      {#each strip as s (s.from)}
        {#if s.kind !== 'back'}<rect
            x={s.x}
            y={s.kind === 'air' ? 1 : 3}
            width={Math.max(0.3, s.wide)}
            height={s.kind === 'air' ? 8 : 6}
            class={s.kind === 'air' ? 'fill-ink' : 'fill-line'}
          />{/if}
      {/each}
    </svg>
    <label class="sr-only" for="rewind">Go back to</label>
    <input
      id="rewind"
      type="range"
      class="h-4 w-full"
      min="0"
      max={Math.max(1, Math.round(rehearsal.seconds))}
      step="1"
      value={to ?? Math.round(rehearsal.seconds)}
      disabled={rehearsal.busy || !rehearsal.spans.length}
      aria-valuetext="{passed(to ?? rehearsal.seconds)} after the white"
      oninput={(e) => (to = e.currentTarget.valueAsNumber)}
      onchange={async () => {
        if (to !== undefined) await rehearsal.back(to);
        to = undefined;
      }}
    />
  </div>
  <p class="text-[13px] text-soft tabular-nums">
    {to !== undefined
      ? `back to ${passed(to)}`
      : `${Math.round(heat)} s of air${rested > 0 ? `, ${Math.round(rested / 60)} min rested` : ''}`}
  </p>
  <button
    type="button"
    class="button"
    disabled={rehearsal.busy || !last}
    title="Takes the last stroke or rest back"
    onclick={() => last && rehearsal.back(last.from)}>Back one</button
  >
  <button
    type="button"
    class="button"
    disabled={rehearsal.busy || !air || besides.full(rehearsal.wave.id)}
    title="Puts this board beside others, to be played together"
    onclick={() => {
      besides.add(rehearsal);
      void said.done('Set beside. Do it another way and set that beside too; “Side by side” plays them together.');
    }}>Set beside</button
  >
  <button
    type="button"
    class="button"
    disabled={rehearsal.busy || !air}
    title="Makes this the plan of the wave: its passes, its minute and its picture"
    onclick={keep}>Keep it</button
  >
</div>
