<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { reallyDone, type ReallyDone } from '#core/bench';
  import { coatName } from '#core/coat';
  import { rate } from '#core/cure';
  import { boxOf, limits, type Shape } from '#core/document';
  import { canLayerAgain, madeAgain, withLayerAgain } from '#core/edit';
  import { readSession } from '#core/record';
  import { length, plain, readWithin, writeShare } from '#core/units';
  import { planner } from '$lib/planner';
  import { addPiece, editPiece } from '$lib/store/edits';
  import { Live } from '$lib/store/live.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { readPour } from '$lib/store/studio';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import LogHead from '../../LogHead.svelte';

  /** A new piece from a logged one, with what was really done, on another board if it is wanted; or the next layer on the same. */
  const live = $derived.by(() => {
    const id = page.params['id']!;
    return new Live(async () => ({ found: await readPour(id) }));
  });
  const session = $derived(live.current?.found && readSession(live.current.found));
  const pieceId = $derived(page.url.searchParams.get('piece') ?? session?.pour.of[0]?.pieceId ?? '');
  const was = $derived(session?.pour.planned.pieces.find((p) => p.id === pieceId));
  const piece = $derived(shared.pieces?.find((p) => p.id === pieceId));
  /** As it was done where that came out well, else as it was planned; either can be chosen. */
  let chosen = $state<'done' | 'planned'>();
  const use = $derived(chosen ?? (session?.pour.verdict === 'make it again' ? 'done' : 'planned'));
  const written = $derived(session ? reallyDone(session, pieceId) : new Map<string, ReallyDone>());
  const done = $derived(use === 'done' ? written : new Map<string, ReallyDone>());
  const roomC = $derived(shared.means?.air(0));

  let typed = $state('');
  let problem = $state('');
  const box = $derived(was ? boxOf(was.shape) : [0, 0]);
  /** The width of the new board, mm: the old one's until another is typed. */
  let width = $state<number>();
  const scaled = $derived(width !== undefined && box[0] ? width / box[0] : 1);
  function resize(text: string) {
    typed = text;
    problem = '';
    if (!text.trim()) return void (width = undefined);
    const reading = readWithin(length, text, limits.side, 'The board', (mm) => shared.write.length(mm), shared.settings?.length ?? 'mm');
    const high = reading.ok && box[0] ? (box[1]! * reading.value) / box[0] : 0;
    if (!reading.ok) problem = reading.says;
    else if (high > limits.side.max || high < limits.side.min)
      problem = `Its other side would be ${shared.write.length(high)}; boards of ${shared.write.length(limits.side.min)} to ${shared.write.length(limits.side.max)} are planned.`;
    else width = reading.value;
  }
  function shapeAt(shape: Shape, k: number): Shape {
    const round = (mm: number): number => Math.round(10 * mm * k) / 10;
    const of = (value: unknown): unknown =>
      typeof value === 'number'
        ? round(value)
        : Array.isArray(value)
          ? value.map(of)
          : value && typeof value === 'object'
            ? Object.fromEntries(Object.entries(value).map(([key, v]) => [key, of(v)]))
            : value;
    if (k === 1) return shape;
    // a slice keeps its seed and how uneven it is
    if (shape.kind === 'slice') return { ...shape, width: round(shape.width), height: round(shape.height) };
    const { kind, ...measures } = shape;
    return { kind, ...(of(measures) as object) } as Shape;
  }
  const faster = (resinId: string, celsius: number): number => {
    const resin = shared.resins?.find((r) => r.id === resinId);
    const ea = shared.method?.activationEa;
    return resin && ea !== undefined && roomC !== undefined ? rate(roomC, resin.refC, ea) / rate(celsius, resin.refC, ea) : 1;
  };
  const again = $derived(
    was && session
      ? madeAgain(was, {
          done,
          faster,
          shape: shapeAt(was.shape, scaled),
          pourId: session.pour.id,
          names: (shared.pieces ?? []).map((p) => p.name),
          ids: [...(shared.pieces ?? []).map((p) => p.id), ...(shared.summaries ?? []).flatMap((s) => s.of.map((o) => o.pieceId))],
        })
      : undefined,
  );
  const plan = $derived(again && shared.means && planner.planIfAble(again, shared.means));
  /** What is other than it was planned then. */
  const changes = $derived(
    again && was
      ? again.coats.flatMap((coat, i) => {
          const old = was.coats[i]!;
          const own = done.get(old.id);
          const says: string[] = [];
          if (coat.kind === 'wave' && own?.white && coat.layAt !== undefined)
            says.push(
              `white ${plain(coat.layAt, 0)} min after mixing: it went out at ${plain(own.white.minute, 0)} min, at ${shared.write.temperature(own.white.celsius)}; it is ${roomC === undefined ? 'as warm' : shared.write.temperature(roomC)} now`,
            );
          if (coat.kind === 'wave' && old.kind === 'wave' && own?.passes !== undefined && coat.passes !== old.passes)
            says.push(
              `${coat.passes} ${coat.passes === 1 ? 'pass' : 'passes'} of heat, as were made; ${old.passes} ${old.passes === 1 ? 'was' : 'were'} planned`,
            );
          for (const r of own?.recipes ?? [])
            says.push(
              `${r.role === 'tint' ? `tint ${(r.tint ?? 0) + 1} from the deep` : r.role} as it was weighed, ${writeShare(r.recipe.reduce((sum, p) => sum + p.load, 0))} colourant`,
            );
          return says.map((s) => ({ coat: coatName(coat), says: s }));
        })
      : [],
  );
  const lesson = $derived(session?.pour.outcomes?.find((o) => o.pieceId === pieceId)?.lesson ?? session?.pour.note);
  const poured = $derived(
    piece?.coats.filter((c) => session?.pour.of.some((o) => o.pieceId === pieceId && o.coatIds.includes(c.id))) ?? [],
  );
  const layers = $derived(piece !== undefined && canLayerAgain(piece, poured));

  async function make() {
    if (!again) return;
    const own = JSON.parse(JSON.stringify(again)) as typeof again;
    if (await attempt(() => addPiece(own))) await goto(`/pieces/${own.id}`);
  }
  async function layer() {
    if (!piece) return;
    const ids = new Set(poured.map((c) => c.id));
    const stored = await attempt(() =>
      editPiece(piece.id, 'Pour another layer like these', (p) =>
        withLayerAgain(
          p,
          p.coats.filter((c) => ids.has(c.id)),
        ),
      ),
    );
    if (stored) await goto(`/pieces/${piece.id}`);
  }
</script>

<svelte:head><title>Make it again · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  {#if session && was && again}
    <LogHead title="Make {was.name} again"><a class="button button-quiet" href="/log/piece/{pieceId}">To its story</a></LogHead>
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
      <Sheet title="On which board">
        <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-4">
          {#if plan}<Thumb {plan} class="max-h-64 w-full" />{/if}
          <label class="text-[13px] text-soft"
            >width of the board<input
              class="input text-ink"
              placeholder={shared.write.length(box[0]!)}
              value={typed}
              oninput={(e) => resize(e.currentTarget.value)}
              aria-invalid={problem ? 'true' : undefined}
            /></label
          >
          {#if problem}<p role="alert" class="text-[13px] text-buoy">{problem}</p>{/if}
          <p class="text-[13px] text-soft">
            {scaled === 1
              ? 'The same board. Type another width, and the board and its sea grow or shrink with it; films, lines and reach stay what a hand lays.'
              : `${plain(scaled, 2)} times as wide and as high: ${shared.write.length(box[0]! * scaled)} × ${shared.write.length(box[1]! * scaled)}. Its cups follow.`}
          </p>
        </div>
      </Sheet>
      <Sheet title="How it is made" aside={dayMonth(session.started)}>
        <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-4">
          {#if lesson}<p class="font-serif text-[17px] italic">{lesson}</p>{/if}
          <Choice
            label="Minutes, passes and cups"
            value={use}
            options={[
              { value: 'done', label: 'as they were really done' },
              { value: 'planned', label: 'as they were planned' },
            ]}
            onchange={(value) => (chosen = value)}
          />
          {#if changes.length}
            <ul class="flex flex-col">
              {#each changes as c, i (i)}<li class="border-t border-rule py-1.5"><b>{c.coat}:</b> {c.says}.</li>{/each}
            </ul>
          {:else}<p class="text-soft">
              {use === 'planned'
                ? 'The plan comes along as it stood, and not what was done otherwise.'
                : 'It was poured as it was planned, as far as it was written down: the plan comes along as it stood.'}
            </p>{/if}
          <p class="text-[13px] text-soft">
            All else is planned with the studio’s figures as they are now, with what was learned of them since. What was rehearsed comes
            along where nothing of it was done otherwise.
          </p>
          <div class="flex flex-wrap gap-2 border-t border-rule pt-3">
            <button type="button" class="button button-main" onclick={make} disabled={problem !== ''}>Make “{again.name}”</button>
            {#if layers}<button type="button" class="button" onclick={layer}>Pour the next layer on the same one</button>{/if}
          </div>
          {#if layers}<p class="text-[13px] text-soft">
              The next layer goes over two thirds of it with half the colour, so that what lies below shows through.
            </p>{/if}
        </div>
      </Sheet>
    </div>
  {:else if live.current && !(session && was)}
    <Missing says="This pour is not in the log" href="/log" on="All pours" />
  {:else}<p class="text-soft" aria-busy="true">Reading the pour.</p>{/if}
</main>
