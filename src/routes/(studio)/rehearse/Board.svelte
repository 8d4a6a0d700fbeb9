<script lang="ts">
  import { airOf } from '#core/foam';
  import { rimRings } from '#core/geometry';
  import { shared } from '$lib/store/shared.svelte';
  import { marksOf } from '$lib/ui/ruler';
  import type { Rehearsal } from './rehearsal.svelte';

  /** The board as it would look, at scale: the air is pushed over it by mouse, touch or keys, with its footprint and the skin's warmth. */
  let { rehearsal }: { rehearsal: Rehearsal } = $props();

  const { scene, canvas } = $derived(rehearsal);
  let wide = $state(0);
  let tall = $state(0);
  /** Room for the ruler below and the names of the lines beside, px. */
  const [BELOW, BESIDE] = [48, 112];
  const scale = $derived(Math.max(0.1, Math.min((wide - BESIDE) / scene.width, (tall - BELOW) / scene.height)));
  const unit = $derived(shared.settings?.length ?? 'mm');

  let drawing = $state<SVGSVGElement>();
  /** Where the hand holds the air, mm; undefined once it is let go. */
  let at: { x: number; y: number } | undefined;
  let keyed = $state(false);

  const within = (p: { x: number; y: number }) => ({
    x: Math.min(scene.width, Math.max(0, p.x)),
    y: Math.min(scene.height, Math.max(0, p.y)),
  });
  function placeOf(event: PointerEvent) {
    const box = drawing!.getBoundingClientRect();
    return within({ x: (event.clientX - box.left) / scale, y: (event.clientY - box.top) / scale });
  }
  /** What a hand draws just now, mm. */
  let drawn = $state.raw<{ x: number; y: number }[]>([]);
  function down(event: PointerEvent) {
    if (event.button !== 0 || rehearsal.busy) return;
    drawing!.setPointerCapture(event.pointerId);
    if (rehearsal.drawing.pointer !== 'air') {
      drawn = [placeOf(event)];
      return;
    }
    at = placeOf(event);
    void rehearsal.air(() => at);
  }
  function move(event: PointerEvent) {
    if (drawn.length) drawn = [...drawn, placeOf(event)];
    else if (at && !keyed) at = placeOf(event);
    else if (!rehearsal.busy) rehearsal.aim = placeOf(event);
  }
  const up = () => {
    if (drawn.length) rehearsal.drawn(drawn);
    drawn = [];
    if (!keyed) at = undefined;
  };

  /** By how much a key moves the air, mm, and turns it, radians. */
  const [BY, TURN] = [4, Math.PI / 12];
  const steps: Record<string, [number, number]> = { ArrowLeft: [-BY, 0], ArrowRight: [BY, 0], ArrowUp: [0, -BY], ArrowDown: [0, BY] };
  function key(event: KeyboardEvent) {
    const step = steps[event.key];
    if (step) {
      event.preventDefault();
      const from = rehearsal.aim ?? { x: scene.width / 2, y: scene.height / 2 };
      rehearsal.aim = within({ x: from.x + step[0], y: from.y + step[1] });
      if (keyed) at = rehearsal.aim;
    } else if (event.key === 'h' || event.key === 'H') hold();
    else if (event.key === 'q' || event.key === 'Q') rehearsal.turn -= TURN;
    else if (event.key === 'e' || event.key === 'E') rehearsal.turn += TURN;
  }
  /** Holds the air on without a hand, or lets it go. */
  function hold() {
    if (keyed) {
      keyed = false;
      at = undefined;
    } else if (!rehearsal.busy) {
      keyed = true;
      at = rehearsal.aim ?? { x: scene.width / 2, y: scene.height / 2 };
      void rehearsal.air(() => at);
    }
  }
  $effect(() => {
    if (rehearsal.doing !== 'air' && rehearsal.doing !== 'nothing') {
      keyed = false;
      at = undefined;
    }
  });

  const foot = $derived(airOf(rehearsal.hand, scene.roomC));
  const toward = $derived(rehearsal.aim ? (rehearsal.toward(rehearsal.aim) * 180) / Math.PI : -90);
  const rim = $derived(
    rimRings(rehearsal.plan.piece.shape)
      .map((ring) => `${path(ring.map((p) => ({ x: p.x - rehearsal.corner.x, y: p.y - rehearsal.corner.y })))}Z`)
      .join(''),
  );
  const path = (points: readonly { x: number; y: number }[]): string =>
    `M${points.map((p) => `${(p.x * scale).toFixed(1)} ${(p.y * scale).toFixed(1)}`).join('L')}`;
  const { corner } = $derived(rehearsal);
  const dressings = $derived(rehearsal.plan.piece.dressings ?? []);
  /** Where the white got to, out to sea of its line, mm. */
  const reached = $derived(rehearsal.figures?.toSea.middle);
  /** Two names nearer to each other than this would lie on one another, px. */
  const NEAR = 14;
  /** Where the line leaves the right side of the board, px. */
  const line = $derived.by(() => {
    const on = rehearsal.lines[0]?.path.filter((p) => p.x >= 0 && p.x <= scene.width && p.y >= 0 && p.y <= scene.height) ?? [];
    const last = on.reduce<{ x: number; y: number } | undefined>((most, p) => (most && most.x > p.x ? most : p), undefined);
    return last && { y: last.y * scale, sea: rehearsal.toward(last) };
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<div class="relative min-h-60 grow overflow-hidden p-3 select-none" bind:clientWidth={wide} bind:clientHeight={tall}>
  <div class="work relative" style:width="{scene.width * scale}px" style:height="{scene.height * scale}px">
    <canvas use:canvas.seen class="absolute inset-0 h-full w-full" aria-hidden="true"></canvas>
    <canvas use:canvas.warm class="absolute inset-0 h-full w-full" aria-hidden="true"></canvas>
    <svg
      bind:this={drawing}
      class="absolute inset-0 h-full w-full cursor-crosshair touch-none overflow-visible outline-offset-4 focus:outline-1 focus:outline-soft"
      role="application"
      aria-label="The board: drag the air over it, or move it with the arrow keys and hold it on with H"
      tabindex="0"
      onpointerdown={down}
      onpointermove={move}
      onpointerup={up}
      onpointercancel={up}
      onkeydown={key}
    >
      <defs
        ><marker id="stroke-end" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="6" markerHeight="6" orient="auto"
          ><path d="M1 1L6 4L1 7" class="fill-none stroke-paper" stroke-width="1.5" /></marker
        >
        <clipPath id="board-here"><rect width={scene.width * scale} height={scene.height * scale} /></clipPath></defs
      >
      <g clip-path="url(#board-here)">
        <path d={rim} fill="none" class="stroke-line" />
        {#each dressings as d (d.id)}<circle
            cx={(d.x - corner.x) * scale}
            cy={(d.y - corner.y) * scale}
            r={(d.size / 2) * scale}
            class="pointer-events-none fill-paper/80 stroke-ink"
          />{/each}
        {#each rehearsal.lines as l, i (i)}<path
            d={path(l.path)}
            fill="none"
            class="stroke-buoy"
            stroke-dasharray="5 4"
            opacity="0.8"
          />{/each}
      </g>
      {#if line}
        <text
          x={scene.width * scale + 8}
          y={line.y + (reached !== undefined && reached * scale < NEAR ? NEAR : 4)}
          class="fill-buoy text-[13px]">line</text
        >
        {#if reached && Math.sin(line.sea) < -0.5}
          <g class="stroke-open"><path d="M{scene.width * scale + 6} {line.y - reached * scale}h60" stroke-width="1.5" /></g>
          <text x={scene.width * scale + 8} y={line.y - reached * scale - 5} class="fill-open text-[13px]"
            >reach {shared.write.length(reached)}</text
          >
        {/if}
      {/if}
      {#each rehearsal.drawing.strokes as stroke, i (i)}<path
          d={path(stroke)}
          class="fill-none stroke-paper"
          stroke-width="2"
          marker-end="url(#stroke-end)"
        />{/each}
      {#if drawn.length > 1}<path d={path(drawn)} class="fill-none stroke-paper" stroke-width="2" stroke-dasharray="3 3" />{/if}
      {#if rehearsal.aim && rehearsal.drawing.pointer === 'air'}
        <g
          transform="translate({rehearsal.aim.x * scale} {rehearsal.aim.y * scale}) rotate({toward})"
          class="pointer-events-none fill-none stroke-paper"
          stroke-width="1.5"
        >
          <ellipse cx={foot.along * scale * 0.8} rx={foot.along * scale * 1.6} ry={foot.across * scale * 1.3} stroke-dasharray="5 4" />
          <path d="M{-foot.along * scale * 0.3} 0H{foot.along * scale * 1.5}m-7 -6l7 6l-7 6" />
        </g>
      {/if}
      <g class="stroke-soft text-[11px]" aria-hidden="true">
        {#each marksOf(unit, scene.width, 0, scene.width, scale, 42) as mark (mark.at)}
          <path d="M{mark.at * scale} {scene.height * scale + 3}v{mark.label === undefined ? 3 : 6}" />
          {#if mark.label !== undefined}<text
              x={mark.at * scale}
              y={scene.height * scale + 20}
              text-anchor="middle"
              class="fill-soft stroke-none">{mark.label}</text
            >{/if}
        {/each}
      </g>
    </svg>
  </div>
</div>
