<script lang="ts">
  import type { Snippet } from 'svelte';
  import {
    limits,
    type BoardAnswers,
    type Edge,
    type Material,
    type Primer,
    type Resin,
    type Settings,
    type Shape,
    type Use,
  } from '#core/document';
  import { length, readWithin, writeLength, type Reading } from '#core/units';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';

  /** What is asked about a board, new or on the table. Sizes are read as written, in any unit. */
  interface Props {
    start: BoardAnswers;
    settings: Settings;
    /** Resins to choose from; left out where the coats already have theirs. */
    resins?: Resin[];
    does: string;
    onanswer: (answers: BoardAnswers) => void;
    more?: Snippet;
  }
  let { start, settings, resins, does, onanswer, more }: Props = $props();

  const write = (mm: number): string => writeLength(mm, settings.length);
  const given = (mm: number | undefined): string => (mm === undefined ? '' : write(mm));
  // svelte-ignore state_referenced_locally
  const shape0 = start.shape;
  // svelte-ignore state_referenced_locally
  let answers = $state({
    name: start.name,
    count: String(start.count),
    use: start.use,
    kind: shape0.kind,
    width: given(shape0.kind === 'round' ? shape0.diameter : shape0.width),
    height: given(shape0.kind === 'round' ? undefined : shape0.height),
    thickness: given(start.thickness),
    material: start.surface.material,
    primer: start.surface.primer,
    primerCoats: String(start.surface.primerCoats || 3),
    edge: start.edge,
    wallHeight: given(start.wallHeight ?? 12),
    resinId: start.resinId,
  });
  let insist = $state(false);

  const readSide = (what: string) => (text: string) => readWithin(length, text, limits.side, what, write, settings.length);
  const readThickness = (text: string) => readWithin(length, text, limits.thickness, 'A thickness', write, settings.length);
  const readWall = (text: string) => readWithin(length, text, limits.wall, 'A wall', write, settings.length);
  const whole =
    (range: { min: number; max: number }) =>
    (text: string): Reading => {
      const n = Number(text.trim());
      return text.trim() && Number.isInteger(n) && n >= range.min && n <= range.max
        ? { ok: true, value: n }
        : { ok: false, says: `Give a whole number from ${range.min} to ${range.max}.` };
    };
  const readName = (text: string): Reading =>
    text.trim() && text.trim().length <= 80
      ? { ok: true, value: 0 }
      : { ok: false, says: 'Give the piece a name of up to 80 letters, as in “Kelp Cove I”.' };
  const coated = $derived(answers.primer === 'gesso' || answers.primer === 'clear sealer');

  const shapes = [
    { value: 'rectangle', label: 'Panel, rectangular' },
    { value: 'round', label: 'Round' },
    { value: 'oval', label: 'Oval' },
  ] as const satisfies { value: Shape['kind']; label: string }[];
  const uses = [
    { value: 'wall', label: 'The wall' },
    { value: 'food', label: 'Carrying food' },
    { value: 'hot mugs', label: 'Hot mugs' },
  ] as const satisfies { value: Use; label: string }[];
  const materials = [
    { value: 'raw wood', label: 'Raw wood' },
    { value: 'varnished wood', label: 'Varnished wood' },
    { value: 'mdf', label: 'MDF' },
    { value: 'slate', label: 'Slate' },
    { value: 'glass', label: 'Glass' },
  ] as const satisfies { value: Material; label: string }[];
  const primers = [
    { value: 'gesso', label: 'Gesso' },
    { value: 'clear sealer', label: 'Clear sealer' },
    { value: 'scuff only', label: 'Scuffed only' },
    { value: 'none', label: 'None' },
  ] as const satisfies { value: Primer; label: string }[];
  const edges = [
    { value: 'run over', label: 'Runs over and drips' },
    { value: 'taped', label: 'Taped clean' },
    { value: 'dammed', label: 'Dammed' },
    { value: 'wall', label: 'Held by a wall' },
  ] as const satisfies { value: Edge; label: string }[];

  function submit(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    const a = answers;
    const [width, height] = [readSide('A side')(a.width), a.kind === 'round' ? undefined : readSide('A side')(a.height)];
    const [count, thickness, primerCoats] = [
      whole(limits.count)(a.count),
      readThickness(a.thickness),
      whole({ min: 1, max: 9 })(a.primerCoats),
    ];
    const wall = readWall(a.wallHeight);
    if (
      !readName(a.name).ok ||
      !count.ok ||
      !width.ok ||
      (height && !height.ok) ||
      !thickness.ok ||
      (coated && !primerCoats.ok) ||
      (a.edge === 'wall' && !wall.ok)
    )
      return;
    const shape: Shape =
      a.kind === 'round' || !height?.ok
        ? { kind: 'round', diameter: width.value }
        : { kind: a.kind, width: width.value, height: height.value };
    onanswer({
      name: a.name.trim(),
      count: count.value,
      use: a.use,
      shape,
      thickness: thickness.value,
      edge: a.edge,
      resinId: a.resinId,
      surface: { material: a.material, primer: a.primer, primerCoats: coated && primerCoats.ok ? primerCoats.value : 0 },
      ...(a.edge === 'wall' && wall.ok && { wallHeight: wall.value }),
    });
  }
</script>

<form class="sheet flex max-w-6xl flex-col gap-4 p-5" onsubmit={submit} novalidate>
  <div class="grid gap-x-5 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
    <Field label="Name" bind:text={answers.name} read={readName} {insist} />
    <Choice
      label="For"
      bind:value={answers.use}
      options={uses}
      hint={answers.use === 'wall' ? undefined : 'The resin maker’s own statement decides, not this plan.'}
    />
    <Choice label="Shape" bind:value={answers.kind} options={shapes} />
    <Field label="Like pieces poured together" bind:text={answers.count} read={whole(limits.count)} {insist} inputmode="numeric" />
    {#if answers.kind === 'round'}
      <Field label="Diameter" bind:text={answers.width} read={readSide('A diameter')} {insist} hint="As you write it: 30 cm, 12 in, 300." />
    {:else}
      <Field label="Width" bind:text={answers.width} read={readSide('A width')} {insist} hint="As you write it: 40 cm, 16 in, 400." />
      <Field label="Height" bind:text={answers.height} read={readSide('A height')} {insist} />
    {/if}
    <Field
      label="Thickness of the board"
      bind:text={answers.thickness}
      read={readThickness}
      {insist}
      hint={`A bare number is ${settings.length}.`}
    />
    <Choice label="Surface" bind:value={answers.material} options={materials} />
    <Choice
      label="Primer"
      bind:value={answers.primer}
      options={primers}
      hint="Gesso × 3 on raw wood: resin does not soak in, and the blues stay bright."
    />
    {#if coated}<Field
        label="Coats of primer"
        bind:text={answers.primerCoats}
        read={whole({ min: 1, max: 9 })}
        {insist}
        inputmode="numeric"
      />{/if}
    <Choice
      label="Edge"
      bind:value={answers.edge}
      options={edges}
      hint="Running over is usual for panels, a wall for trays. What runs over is in the amounts."
    />
    {#if answers.edge === 'wall'}<Field label="Height of the wall" bind:text={answers.wallHeight} read={readWall} {insist} />{/if}
    {#if resins?.length}<Choice
        label="Resin"
        bind:value={answers.resinId}
        options={resins.map((r) => ({ value: r.id, label: r.name }))}
      />{/if}
  </div>
  {@render more?.()}
  <div class="flex gap-2"><button type="submit" class="button button-main">{does}</button></div>
</form>
