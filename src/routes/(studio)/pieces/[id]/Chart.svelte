<script lang="ts">
  import polylabel from 'polylabel';
  import { curvesOf, type Point } from '#core/document';
  import { lineLength, smoothCurve, type Region } from '#core/geometry';
  import type { PiecePlan } from '#core/plan';
  import { fixed, plain, writeLength } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';
  import Findings from '$lib/ui/Findings.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { Finding } from '#core/advice';
  import type { PieceEditor } from './editor.svelte';
  import Handles from './Handles.svelte';
  import Rulers from './Rulers.svelte';

  /** The sea drawn to scale: computed colours, rulers, film figures, and the points of one curve to drag. */
  let { editor, plan, findings }: { editor: PieceEditor; plan: PiecePlan; findings: Finding[] } = $props();

  const [LEFT, TOP, RIGHT, BOTTOM] = [44, 34, 14, 12];
  let [width, height] = $state([0, 0]);
  let curve = $state(0);
  let held = $state(false);
  let board = $state<SVGGElement>();

  const unit = $derived(shared.settings?.length ?? 'mm');
  const scale = $derived(
    Math.max(0.01, Math.min((width - LEFT - RIGHT) / plan.bounds.width, (height - TOP - BOTTOM) / plan.bounds.height)),
  );
  const sea = $derived(plan.piece.coats.find((coat) => coat.kind === 'sea'));
  /** Names of the parts of the sea, from the shore seaward. */
  const names = $derived(
    plan.cut.sea.map((_, i) => (sea?.kind === 'sea' ? (sea.tints[sea.tints.length - 1 - i]?.name ?? '') : `part ${i + 1}`)),
  );
  const curveName = (i: number): string => (i === 0 ? 'Shoreline' : `edge between ${names[i - 1]} and ${names[i]}`);
  const curves = $derived(curvesOf(plan.piece).map((points) => smoothCurve(points)));
  const filmOf = (kind: 'sand' | 'sea'): number | undefined => plan.coats.find((c) => c.coat.kind === kind)?.film;

  /** Where a figure stands in a region: the middle of the widest place of its largest part. */
  function place(region: Region): Point | undefined {
    const ring = region.rings.reduce((best, r) => (lineLength(r) > lineLength(best) ? r : best), region.rings[0] ?? []);
    if (ring.length < 3) return undefined;
    const [x, y] = polylabel([ring.map((p) => [p.x, p.y])], 4);
    return { x: x!, y: y! };
  }

  const figures = $derived(
    [
      { region: plan.cut.beach, film: filmOf('sand'), beach: true },
      ...plan.cut.sea.map((region) => ({ region, film: filmOf('sea'), beach: false })),
    ].flatMap((f) => {
      const at = f.film === undefined || f.region.area < 1 ? undefined : place(f.region);
      return at ? [{ ...f, at }] : [];
    }),
  );
  const shares = $derived([
    { name: 'Beach', area: plan.cut.beach.area },
    ...plan.cut.sea.map((region, i) => ({ name: names[i]!, area: region.area })),
  ]);

  function toBoard(event: PointerEvent): Point {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(board!.getScreenCTM()!.inverse());
    return { x: at.x / scale, y: at.y / scale };
  }
</script>

<Sheet title="Chart" class="h-full">
  {#snippet aside()}
    <p class="text-[13px] text-soft">
      <span class="max-lg:hidden">drag the points · </span><i class="font-serif text-[14px]">italic figures</i> are film in mm
    </p>
  {/snippet}
  <div class="relative min-h-56 grow" bind:clientWidth={width} bind:clientHeight={height}>
    {#if width > 0}
      <svg class="absolute inset-0" {width} {height} role="group" aria-label="Chart of {plan.piece.name}">
        <g transform="translate({LEFT + Math.max(0, (width - LEFT - RIGHT - plan.bounds.width * scale) / 2)} {TOP})" bind:this={board}>
          <Rulers width={plan.bounds.width} height={plan.bounds.height} {scale} {unit} />
          <g transform="scale({scale})"
            ><BoardDrawing piece={plan.piece} cut={plan.cut} colours={plan.colours} foamOpen={plan.means.method.foamOpen} /></g
          >
          {#each curves as line, i (i)}
            {#if i !== curve}
              <!-- the keyboard chooses a curve by the buttons below the chart -->
              <!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events -->
              <path
                d="M{line.map((p) => `${p.x * scale} ${p.y * scale}`).join('L')}"
                class="cursor-pointer fill-none stroke-transparent hover:stroke-paper/60"
                stroke-width="9"
                onclick={() => (curve = i)}
              />
            {:else}
              <path
                d="M{line.map((p) => `${p.x * scale} ${p.y * scale}`).join('L')}"
                class="pointer-events-none fill-none stroke-buoy"
                stroke-width="1"
                stroke-dasharray="5 4"
              />
            {/if}
          {/each}
          {#each figures as f, i (i)}
            <text
              x={f.at.x * scale}
              y={f.at.y * scale + 5}
              text-anchor="middle"
              class="pointer-events-none fill-paper stroke-ink/70 font-serif text-[16px] italic [paint-order:stroke]"
              stroke-width="2">{fixed(f.film!, 1)}</text
            >
          {/each}
          <Handles {editor} {curve} name={curveName(curve)} {scale} {toBoard} onheld={(h) => (held = h)} />
        </g>
      </svg>
    {/if}
  </div>
  <div
    class="flex shrink-0 flex-wrap items-center gap-1 border-t border-rule px-3 py-1.5 text-[13px]"
    role="group"
    aria-label="Curve to move"
  >
    <span class="text-soft">Move the</span>
    {#each curves as _, i (i)}
      <button
        type="button"
        class="rounded-sheet border px-2 py-0.5 {i === curve ? 'border-buoy font-bold' : 'border-line'}"
        aria-pressed={i === curve}
        aria-label={curveName(i)}
        onclick={() => (curve = i)}
      >
        {i === 0 ? 'shoreline' : names[i]}
      </button>
      {#if i === 0 && curves.length > 1}<span class="text-soft">or the edge of</span>{/if}
    {/each}
    {#if held}<p class="basis-full text-warn" role="status">
        A curve stays on the board: 0 to {writeLength(plan.bounds.height, unit)} down.
      </p>{/if}
  </div>
  <dl class="flex shrink-0 flex-wrap border-t border-rule">
    {#each shares as share, i (i)}
      <div class="min-w-18 grow basis-0 border-l border-rule px-2 py-1.5 first:border-l-0">
        <dt class="text-[13px] whitespace-nowrap">{share.name}</dt>
        <dd class="text-[15px]">{plain((100 * share.area) / plan.area, 0)} %</dd>
        <dd class="text-[13px] whitespace-nowrap text-soft">{plain(share.area / 100, 0)} cm²</dd>
      </div>
    {/each}
    <div class="min-w-18 grow basis-0 border-l border-rule px-2 py-1.5 first:border-l-0">
      <dt class="text-[13px] whitespace-nowrap">Shoreline</dt>
      <dd class="text-[15px] whitespace-nowrap">{fixed(plan.cut.shoreLength / 1000, 2)} m</dd>
      <dd class="text-[13px] whitespace-nowrap text-soft">rim {fixed(plan.rim / 1000, 2)} m</dd>
    </div>
  </dl>
  <div class="shrink-0"><Findings {findings} /></div>
</Sheet>
