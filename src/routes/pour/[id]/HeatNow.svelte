<script lang="ts">
  import { untrack } from 'svelte';
  import { heatPlan, strokeAt, whereOf, type Bench } from '#core/bench';
  import { steady } from '#core/air';
  import { stepKey, type Point, type ToldStep } from '#core/document';
  import { isPass } from '#core/record';
  import { plain, writeDuration } from '#core/units';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { bench as ticking, running } from '$lib/ui/clock.svelte';
  import { voice } from './voice.svelte';

  /**
   * A pass of heat while it is made: how the tool is held, how fast it moves on, to be followed by ear; what was made so far,
   * what it adds to the film's age, and when it is enough.
   */
  interface Props {
    at: Bench;
    step: ToldStep;
    /** Whether this window sounds. */
    leads: boolean;
    /** How far the tool should have come along the line by now. */
    along: number | undefined;
    /** Where it is in a rehearsed pass, and the strokes of that, mm of the board. */
    air: { at?: Point; strokes: Point[][]; next: number } | undefined;
  }
  let { at, step, leads, along = $bindable(), air = $bindable() }: Props = $props();

  const length = $derived.by(() => {
    const { pieces, resins, colourants, method } = at.session.pour.planned;
    const piece = pieces.find((p) => p.id === step.id.piece);
    const plan = piece && planner.planIfAble(piece, { resins, colourants, method, air: steady(at.session.pour.roomC) });
    return plan ? whereOf(plan, step).length : 0;
  });
  const heat = $derived(heatPlan(at, step, length));
  const on = $derived(at.session.heatOn);
  const held = $derived(on === undefined ? 0 : Math.max(0, (ticking.now - on) / 1000));
  const whole = $derived(heat.seconds * heat.boards);
  const board = $derived(Math.min(heat.boards, Math.floor(held / heat.seconds) + 1));
  $effect(() => {
    along = heat.strokes || on === undefined || held > whole ? undefined : (held % heat.seconds) / heat.seconds;
  });
  /** The stroke that is made now, in a pass that was rehearsed. */
  const stroke = $derived(heat.strokes && strokeAt(heat.strokes, on === undefined ? 0 : held % heat.seconds));
  const ended = $derived(on !== undefined && held > whole);
  $effect(() => {
    air =
      heat.strokes && stroke
        ? { strokes: heat.strokes.map((s) => s.path), next: stroke.index, ...(on !== undefined && !ended && { at: stroke.at }) }
        : undefined;
    return () => (air = undefined);
  });
  const index = $derived(stroke?.index);
  $effect(() => {
    if (index !== undefined && on !== undefined && leads && !untrack(() => ended)) voice.tone(1200, 0.06, 0.2);
  });

  /** One tick a second, a higher one when the tool moves on by its own width. */
  let beat = $state(0);
  $effect(() => {
    if (on === undefined || heat.strokes) return;
    const linger = Math.max(1, Math.round(heat.linger));
    const timer = setInterval(() => {
      beat = Math.floor(Math.max(0, (ticking.now - on) / 1000));
      if (leads) voice.tone(beat % linger === 0 ? 1200 : 700, 0.06, beat % linger === 0 ? 0.2 : 0.08);
    }, 1000);
    return () => clearInterval(timer);
  });

  const lastPass = $derived(
    Math.max(
      ...at.session.told.steps
        .filter((s) => isPass(s.id) && s.id.piece === step.id.piece && s.id.coat === step.id.coat)
        .map((s) => at.session.doneAt.get(stepKey(s.id)) ?? -Infinity),
    ),
  );
  const look = $derived(on === undefined && Number.isFinite(lastPass) ? heat.look - (ticking.now - lastPass) / 1000 : 0);
</script>

<section aria-label="Heat pass">
  <p class="flex items-baseline gap-3">
    <b class="text-[56px] leading-none" data-testid="held">{running(held / 60)}</b><span class="text-[20px] text-nightsoft"
      >of about {running(whole / 60)}{heat.boards > 1 ? `, board ${board} of ${heat.boards}` : ''}</span
    >
  </p>
  {#if heat.strokes && stroke}
    <p class="mt-1 text-[22px]" data-testid="stroke">
      {ended ? 'Every stroke is made' : `Stroke ${stroke.index + 1} of ${heat.strokes.length}`}
    </p>
    <progress class="w-full max-w-md" value={Math.min(1, held / whole)} max="1" aria-label="How much of the pass is made"></progress>
    <p class="mt-1 max-w-[52ch] text-[18px]">Follow the dot on the board; a tone begins each stroke.</p>
  {:else}
    <p class="mt-2 flex items-center gap-1.5" aria-hidden="true">
      {#each { length: Math.max(1, Math.round(heat.linger)) } as _, i (i)}<span
          class="h-3 w-5 rounded-[2px] {on !== undefined && beat % Math.max(1, Math.round(heat.linger)) === i
            ? 'bg-[#ff9d5c]'
            : 'bg-nightline'}"
        ></span>{/each}
    </p>
    <p class="mt-2 max-w-[52ch] text-[18px]">
      Move on by its own width every {plain(heat.linger, 0)} s, {plain(heat.moves, 0)} times along the board: {shared.write.length(
        heat.speed * 10,
      )} in 10 s.
    </p>
  {/if}
  <p class="max-w-[52ch] text-[17px] text-nightsoft">
    {heat.made} of {heat.passes} passes made, {plain(heat.held, 0)} s held in all. Each ages the film by {plain(heat.ages, 1)} min{heat.left !==
    undefined
      ? heat.left > 0
        ? `; it can be moved for ${writeDuration(Math.max(1, Math.round(heat.left)))} more`
        : '; its time is over'
      : ''}.
  </p>
  {#if heat.enough}<p class="mt-1 max-w-[52ch] border-l-3 border-[#d9a441] pl-3 text-[18px]"><b>Enough.</b> {heat.enough}</p>
  {:else if look > 0}<p class="mt-1 text-[18px]" data-testid="look">
      Wait and look: <b>{running(look / 60)}</b>. What opens, opens in the first minute.
    </p>{/if}
</section>
