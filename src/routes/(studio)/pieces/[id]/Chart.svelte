<script lang="ts">
  import { onMount } from 'svelte';
  import type { Finding } from '#core/advice';
  import { rehearsalOf } from '#core/coat';
  import type { Point, WaveCoat } from '#core/document';
  import { partOf } from '#core/geometry';
  import { chartColours, type PiecePlan } from '#core/plan';
  import { fixed } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';
  import Findings from '$lib/ui/Findings.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { lineName, lineOfKey, snaps, type Drawing } from './drawing.svelte';
  import type { PieceEditor } from './editor.svelte';
  import { Gestures } from './gestures';
  import { markedRegions, nearest } from './places';
  import Rulers from './Rulers.svelte';
  import { View } from './view.svelte';
  import { partNames } from './words';

  /** The sea drawn to scale: computed colours, rulers, film figures, the cut, and the points of one curve to drag. */
  interface Props {
    editor: PieceEditor;
    plan: PiecePlan;
    drawing: Drawing;
    findings: Finding[];
    /** Coat whose part of the board is marked. */
    selected: string;
    /** A part of the board was pointed at: 0 the beach, then the sea from the shore seaward. */
    onpart: (part: number) => void;
  }
  let { editor, plan, drawing, findings, selected, onpart }: Props = $props();

  const view = new View(() => plan.bounds);
  let held = $state(false);
  let area = $state<HTMLElement>();
  /** While something of the chart is in hand, what stands below it waits: the board must not move or shrink under a hand. */
  let inHand = $state(false);
  let before: Finding[] = [];
  const below = $derived.by(() => (inHand ? before : (before = findings)));
  let board = $state<SVGGElement>();

  const unit = $derived(shared.settings?.length ?? 'mm');
  /** Names of the parts of the sea, from the shore seaward. */
  const names = $derived(partNames(plan.piece));
  // a curve that was taken off is not chosen any more
  $effect(() => {
    if (!lineOfKey(plan.piece, drawing.line)) drawing.line = 'shoreline';
  });

  /** The board as it is seen at the stage looked at; the finished one is planned already. */
  const shown = $derived.by(() => {
    const stage = drawing.stageOf(plan);
    const finished = stage.coats === plan.piece.coats.length && !stage.wet;
    return finished ? plan : { ...plan, colours: chartColours(plan.site, plan.cut, plan.means.colourants, stage) };
  });

  let middle = $state.raw<typeof import('./middle')>();
  onMount(async () => (middle = await import('./middle')));
  const filmOf = (kind: 'sand' | 'sea'): number | undefined =>
    plan.coats.slice(0, drawing.stageOf(plan).coats).find((c) => c.coat.kind === kind)?.film;
  const figures = $derived(
    [{ region: plan.cut.beach, film: filmOf('sand') }, ...plan.cut.sea.map((region) => ({ region, film: filmOf('sea') }))].flatMap((f) => {
      const at = f.film === undefined || f.region.area < 40 ? undefined : middle?.middleOf(f.region);
      return at ? [{ film: f.film!, at }] : [];
    }),
  );

  /** A board drawn smaller than this has no room for words, px. */
  const ROOM = 200;
  /** Whose foam is shown: no picture of it is a promise. */
  const foam = $derived.by(() => {
    const waves = shown.colours.foams.flatMap(({ coatId, closed }) =>
      plan.piece.coats.filter((c): c is WaveCoat => c.kind === 'wave' && c.id === coatId && closed < 1),
    );
    if (!waves.length) return undefined;
    return waves.some((w) => rehearsalOf(plan.piece, w)) ? 'foam as rehearsed' : 'foam of one ordinary pass';
  });
  const marked = $derived(markedRegions(plan, selected, drawing.cup));
  const scaled = (points: Point[]): string =>
    points.map((p) => `${(p.x * view.scale).toFixed(1)} ${(p.y * view.scale).toFixed(1)}`).join('L');

  function toBoard(event: { clientX: number; clientY: number }): Point {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(board!.getScreenCTM()!.inverse());
    return { x: at.x / view.scale, y: at.y / view.scale };
  }

  async function addPoint(event: MouseEvent) {
    const line = lineOfKey(plan.piece, drawing.line);
    if (!line) return;
    const at = toBoard(event);
    const { after, place: on } = nearest(line, at);
    if (Math.hypot(on.x - at.x, on.y - at.y) * view.scale > 14) return;
    const { key } = line;
    const { withPointAdded } = await import('#core/edit');
    void editor.commit('Add a point', (piece) => withPointAdded(piece, key, after, drawing.snapped(at)));
    drawing.choose(key, after + 1);
  }

  const gestures = new Gestures(
    () => view,
    toBoard,
    (event) => {
      const part = partOf(toBoard(event), plan.cut);
      if (part >= 0) onpart(part);
    },
  );
</script>

<svelte:window
  onpointerdowncapture={(e) => (inHand = !!area?.contains(e.target as Node))}
  onpointerup={() => (inHand = false)}
  onpointercancel={() => (inHand = false)}
/>

<Sheet title="Chart" class="h-full">
  {#snippet aside()}
    <div class="flex items-center gap-2 text-[13px] text-soft">
      {#if shown === plan}<span class="max-xl:hidden"><i class="font-serif text-[14px]">italic figures</i> are film in {unit}</span>
      {:else}<button type="button" class="text-buoy underline" onclick={() => drawing.finish()}
          >{drawing.coats === 0 ? 'bare' : `after coat ${drawing.stageOf(plan).coats}`}, show all</button
        >{/if}
      <label class="flex items-center gap-1"
        >snap <select class="rounded-sheet border border-line bg-paper" bind:value={drawing.snap}
          >{#each snaps[unit] as s (s.mm)}<option value={s.mm}>{s.label}</option>{/each}</select
        ></label
      >
      <span class="flex" role="group" aria-label="Zoom">
        <button
          type="button"
          class="button button-quiet min-h-6! px-2!"
          aria-label="Zoom out"
          disabled={!view.zoomed}
          onclick={() => view.by(1 / 1.5)}>−</button
        >
        <button
          type="button"
          class="button button-quiet min-h-6! px-1!"
          aria-label="{fixed(view.zoom * 100, 0)} %, show the whole board"
          disabled={!view.zoomed}
          onclick={() => view.fit()}>{fixed(view.zoom * 100, 0)} %</button
        >
        <button type="button" class="button button-quiet min-h-6! px-2!" aria-label="Zoom in" onclick={() => view.by(1.5)}>+</button>
      </span>
    </div>
  {/snippet}
  <div
    class="relative min-h-56 grow [contain:strict] will-change-transform"
    bind:this={area}
    bind:clientWidth={view.width}
    bind:clientHeight={view.height}
  >
    {#if view.width > 0}
      <svg class="absolute inset-0" width={view.width} height={view.height} role="group" aria-label="Chart of {plan.piece.name}">
        <Rulers {view} width={plan.bounds.width} height={plan.bounds.height} {unit} />
        <svg x={view.plot.left - 10} y={view.plot.top - 10} width={view.plot.width + 20} height={view.plot.height + 20} overflow="hidden">
          <g class="work" transform="translate({view.origin.x + 10} {view.origin.y + 10})" bind:this={board}>
            <!-- coats and cups choose the same parts from the keyboard, and buttons zoom -->
            <!-- svelte-ignore a11y_no_static_element_interactions -->
            <g
              class={view.zoomed ? 'cursor-move touch-none' : 'touch-pan-y'}
              onpointerdown={gestures.down}
              onpointermove={gestures.move}
              onpointerup={gestures.up}
              onpointercancel={gestures.up}
              ondblclick={addPoint}
              {@attach gestures.zooming}
            >
              <rect
                x={-view.origin.x - 10}
                y={-view.origin.y - 10}
                width={view.plot.width + 20}
                height={view.plot.height + 20}
                class="fill-transparent"
              />
              <g transform="scale({view.scale})"><BoardDrawing plan={shown} /></g>
            </g>
            {#each marked as region, i (i)}
              <path
                d={region.rings.map((ring) => `M${scaled(ring)}Z`).join('')}
                class="pointer-events-none fill-none stroke-buoy/60"
                stroke-width="1.500"
              />
            {/each}
            {#await import('./Curves.svelte') then { default: Curves }}<Curves
                {editor}
                {drawing}
                {plan}
                {names}
                scale={view.scale}
                {toBoard}
                {gestures}
                onadd={addPoint}
              />{/await}
            {#each figures as f, i (i)}
              <text
                x={f.at.x * view.scale}
                y={f.at.y * view.scale + 5}
                text-anchor="middle"
                class="pointer-events-none fill-paper stroke-ink/70 font-serif text-[16px] italic [paint-order:stroke]"
                stroke-width="2">{shared.write.fineFigure(f.film)}</text
              >
            {/each}
            {#if foam && plan.bounds.width * view.scale > ROOM}<text
                x={plan.bounds.width * view.scale - 6}
                y={plan.bounds.height * view.scale - 7}
                text-anchor="end"
                class="pointer-events-none fill-paper stroke-ink/70 text-[12px] [paint-order:stroke]"
                stroke-width="2">{foam}</text
              >{/if}
            {#await import('./SectionLine.svelte') then { default: SectionLine }}<SectionLine
                {plan}
                {drawing}
                scale={view.scale}
                {toBoard}
              />{/await}
            {#if plan.piece.dressings?.length}{#await import('./Dressings.svelte') then { default: Dressings }}<Dressings
                  {editor}
                  {drawing}
                  scale={view.scale}
                  {toBoard}
                />{/await}{/if}
            {#await import('./Handles.svelte') then { default: Handles }}<Handles
                {editor}
                {drawing}
                name={lineName(drawing.line, names, plan.piece)}
                scale={view.scale}
                {toBoard}
                onheld={(h) => (held = h)}
              />{/await}
          </g>
        </svg>
      </svg>
    {/if}
    {#if held}<p class="absolute inset-x-0 bottom-0 bg-sheet px-3 py-1 text-[13px] text-warn" role="status">
        A curve stays on the board: 0 to {shared.write.length(plan.bounds.height)} down, 0 to {shared.write.length(plan.bounds.width)} across.
      </p>{/if}
  </div>
  <!-- its room is kept until it has been fetched -->
  <div class="min-h-27 shrink-0 pointer-coarse:lg:max-h-36 pointer-coarse:lg:overflow-y-auto">
    {#await import('./tools/Tools.svelte') then { default: Tools }}<Tools {editor} {plan} {drawing} {names} />{/await}
  </div>
  {#if below.length}<Scrolled label="On the board" class="max-h-26 shrink-0"><Findings findings={below} /></Scrolled>{/if}
</Sheet>
