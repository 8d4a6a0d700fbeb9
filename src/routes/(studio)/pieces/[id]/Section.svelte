<script lang="ts">
  import { onMount } from 'svelte';
  import { clearanceOf, sectionColour, sectionOf, type PiecePlan, type SectionLayer } from '#core/plan';
  import { later } from '$lib/ui/later';
  import { marksOf, type Mark } from '$lib/ui/ruler';
  import { shared } from '$lib/store/shared.svelte';
  import type { Drawing } from './drawing.svelte';

  /** The cut A–B: board, primer and every coat as thick as it is computed, drawn taller than wide; a coat is chosen by it. */
  interface Props {
    plan: PiecePlan;
    drawing: Drawing;
    selected: string;
    onselect: (coatId: string, part: number) => void;
  }
  let { plan, drawing, selected, onselect }: Props = $props();

  const [LEFT, RIGHT, TOP, BOARD] = [34, 16, 30, 14];
  let [width, height] = $state([0, 0]);
  const unit = $derived(shared.settings?.length ?? 'mm');
  let foams = $state.raw<typeof import('$lib/ui/likenesses.svelte')>();
  // its foam comes with that of the chart
  onMount(async () => {
    await later();
    foams = await import('$lib/ui/likenesses.svelte');
  });
  const cut = $derived(drawing.cutOf(plan));
  const section = $derived(sectionOf(plan, cut.a, cut.b, drawing.stageOf(plan), foams?.foamSeenOn(plan)));
  const across = $derived(Math.max(1, width - LEFT - RIGHT) / section.length);
  /** How many times taller than wide: whole, so that it can be said. */
  const taller = $derived(Math.max(1, Math.floor((height - TOP - BOARD - 24) / Math.max(0.5, section.height + section.primer) / across)));
  const up = $derived(across * taller);
  const floor = $derived(TOP + section.height * up);
  const x = (mm: number): number => LEFT + mm * across;
  const y = (mm: number): number => floor - mm * up;
  const clearance = $derived(clearanceOf(plan));
  /** What it says of itself in its heading. */
  export const says = (): string => {
    const { level, wallLeft } = clearance;
    const wall = wallLeft === undefined ? '' : ` · wall left ${shared.write.fine(wallLeft)}`;
    return `thickness drawn ${taller}× · total ${shared.write.fine(level)}${wall}`;
  };

  /** Neutral tones of what has no tint. */
  const tones: Partial<Record<SectionLayer['kind'], string>> = {
    seal: '#dfe9ea',
    clear: '#e3edee',
    top: '#e3edee',
    barrier: '#d3e3e5',
    wave: '#ffffff',
    relief: '#b9b2a4',
    dressing: '#f1ece0',
  };

  interface Run {
    layer: SectionLayer;
    part: number;
    d: string;
    fill: string | undefined;
    /** Where its name stands; nowhere where there is no room for it. */
    at: { x: number; y: number } | undefined;
  }

  /** The place of a layer with most room for its name: the tallest box as wide as the name that lies within it. */
  function roomFor(layer: SectionLayer, from: number, last: number): Run['at'] {
    const step = (section.length / section.along.length) * across;
    const half = Math.ceil((nameOf(layer).length * 6.2) / 2 / step);
    let best: Run['at'];
    let most = 12;
    // the cut is read far finer than a name needs
    const [stride, every] = [4, Math.max(1, half >> 2)];
    for (let k = from + half; k <= last - half; k += stride) {
      let [ceiling, ground] = [Infinity, -Infinity];
      for (let j = k - half; j <= k + half; j += every) {
        ceiling = Math.min(ceiling, layer.top[j]!);
        ground = Math.max(ground, layer.bottom[j]!);
      }
      const room = (ceiling - ground) * up - Math.abs(k - (from + last) / 2) * 1e-3;
      if (room > most) [most, best] = [room, { x: x(section.along[k]!), y: y((ceiling + ground) / 2) + 4 }];
    }
    return best;
  }
  const nameOf = (layer: SectionLayer): string => layer.name.split(',')[0]!.toLowerCase();

  /** A layer as one shape for each stretch of one part, so that tints are told apart. */
  function runsOf(layer: SectionLayer): Run[] {
    const runs: Run[] = [];
    const byPart = layer.kind === 'sea';
    const n = section.along.length;
    let from = -1;
    const thick = (i: number): number => layer.top[i]! - layer.bottom[i]!;
    for (let i = 0; i <= n; i++) {
      const here = i < n && thick(i) > 1e-4;
      const breaks = from >= 0 && (!here || (byPart && section.parts[i] !== section.parts[from]));
      if (breaks) {
        const last = here ? i : Math.min(n - 1, i);
        const steps = Array.from({ length: last - Math.max(0, from - 1) + 1 }, (_, k) => Math.max(0, from - 1) + k).filter(
          (k) => k >= from || thick(k) < 0.05,
        );
        const over = steps.map((k) => `${x(section.along[k]!).toFixed(1)} ${y(layer.top[k]!).toFixed(1)}`);
        const under = [...steps].reverse().map((k) => `${x(section.along[k]!).toFixed(1)} ${y(layer.bottom[k]!).toFixed(1)}`);
        runs.push({
          layer,
          part: section.parts[Math.floor((from + last) / 2)]!,
          d: `M${over.join('L')}L${under.join('L')}Z`,
          fill: sectionColour(plan, layer, section.parts[from]!) ?? tones[layer.kind],
          at: roomFor(layer, byPart ? from : Math.max(0, from - 1), last),
        });
        from = here ? i : -1;
      } else if (here && from < 0) from = i;
    }
    return runs;
  }
  const runs = $derived(section.layers.flatMap(runsOf));
  /** One name for each layer, at its widest run. */
  const labels = $derived(
    section.layers.flatMap((layer) => {
      const own = runs.flatMap((r) => (r.layer === layer && r.at ? [{ layer, fill: r.fill, ...r.at }] : []));
      return own.length ? [own[Math.floor(own.length / 2)]!] : [];
    }),
  );
  const dark = (fill: string | undefined): boolean => {
    if (!fill) return false;
    const [r, g, b] = [1, 3, 5].map((k) => parseInt(fill.slice(k, k + 2), 16));
    return 0.299 * r! + 0.587 * g! + 0.114 * b! < 140;
  };

  const figured = (long: number, px: number, room: number): Mark[] =>
    marksOf(unit, long + 1e-6, 0, long + 1e-6, px, room).filter((mark) => mark.label !== undefined);
  const marks = $derived(figured(section.length, across, 56));
  const heights = $derived(figured(section.height, up, 11));
  /** Stretches of the cut that are seen as one colour from above. */
  const seen = $derived.by(() => {
    const step = (section.length / (section.along.length - 1)) * across;
    const found: { x: number; width: number; colour: string | undefined }[] = [];
    section.seen.forEach((colour, i) => {
      const last = found.at(-1);
      if (last && last.colour === colour) last.width += step;
      else found.push({ x: x(section.along[i]!) - (i ? step / 2 : 0), width: i ? step : step / 2, colour });
    });
    return found;
  });
  const chosen = $derived(section.layers.filter((l) => l.coatId === selected));
</script>

<div class="relative min-h-30 grow max-lg:min-h-36 [contain:strict]" bind:clientWidth={width} bind:clientHeight={height}>
  {#if width > 0}
    <svg
      class="absolute inset-0 block text-[11px]"
      {width}
      {height}
      role="group"
      aria-label="Section from A to B, {shared.write.length(section.length)}"
    >
      <defs
        ><pattern id="section-board" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(60)"
          ><rect width="7" height="7" class="fill-ground" /><path d="M0 0V7" class="stroke-line" stroke-width="2" /></pattern
        ></defs
      >
      <text x={LEFT} y="13" text-anchor="middle" class="fill-ink text-[12px] font-bold">A</text>
      <text x={x(section.length)} y="13" text-anchor="middle" class="fill-ink text-[12px] font-bold">B</text>
      <text x="8" y="13" class="fill-soft">{unit}</text>
      <g aria-label="Seen from above, through every coat" role="img">
        {#each seen as run, i (i)}
          <rect x={run.x} y="18" width={run.width + 0.3} height="7" fill={run.colour ?? 'url(#section-board)'} />
        {/each}
        <title>Seen from above, through every coat as thick as it lies there</title>
      </g>
      <rect
        x={LEFT}
        y={floor + section.primer * up}
        width={section.length * across}
        height={BOARD}
        fill="url(#section-board)"
        class="stroke-line"
      />
      <text x={x(section.length) - 6} y={floor + section.primer * up + 11} text-anchor="end" class="fill-soft">board</text>
      <g class="work">
        {#if section.primer > 0}<rect
            x={LEFT}
            y={floor}
            width={section.length * across}
            height={Math.max(1, section.primer * up)}
            class="fill-paper stroke-line"
            stroke-width="0.500"><title>primer, {shared.write.film(section.primer)}</title></rect
          >{/if}
        {#each runs as run, i (i)}
          <!-- the coats list chooses the same from the keyboard -->
          <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
          <path
            d={run.d}
            fill={run.fill ?? 'url(#section-board)'}
            class={run.layer.coatId ? 'cursor-pointer' : ''}
            stroke={run.layer.coatId === selected ? '#B8421C' : '#58647066'}
            stroke-width={run.layer.coatId === selected ? 1.4 : 0.6}
            onclick={() => run.layer.coatId && onselect(run.layer.coatId, run.part)}
            ><title>{run.layer.name}, up to {shared.write.film(run.layer.most)} here</title></path
          >
        {/each}
        {#each labels as label, i (i)}
          <text
            x={label.x}
            y={label.y}
            text-anchor="middle"
            class="pointer-events-none font-serif text-[13px] italic {dark(label.fill) ? 'fill-paper' : 'fill-ink'}"
            >{nameOf(label.layer)}</text
          >
        {/each}
      </g>
      {#each heights as mark (mark.at)}
        <path d="M{LEFT - 5} {y(mark.at)}h5" class="stroke-soft" />
        <text x={LEFT - 9} y={y(mark.at) + 4} text-anchor="end" class="fill-soft">{mark.label}</text>
      {/each}
      {#each marks as mark (mark.at)}
        <path d="M{x(mark.at)} {floor + section.primer * up + BOARD}v4" class="stroke-soft" />
        <text x={x(mark.at)} y={floor + section.primer * up + BOARD + 15} text-anchor="middle" class="fill-soft">{mark.label}</text>
      {/each}
      {#if chosen.length}
        <text x={(LEFT + width - RIGHT) / 2} y="13" text-anchor="middle" class="fill-soft text-[12px]"
          >{chosen.map((l) => `${l.name}: up to ${shared.write.film(l.most)} in this cut`).join(' · ')}</text
        >
      {/if}
    </svg>
  {/if}
</div>
