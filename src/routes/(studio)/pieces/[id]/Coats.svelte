<script lang="ts">
  import type { Finding } from '#core/advice';
  import { limits, startingCoat, withCoat, withCoatOnTop, withFilm, withoutCoat, type Coat } from '#core/document';
  import { coverage } from '#core/mix';
  import type { CoatPlan, PiecePlan } from '#core/plan';
  import { duration, film, fixed, length, plain, readWithin, writeDuration, writeLength, writeSpan, writeVolume } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** The coats, top first; the chosen one opens to its figures. */
  let {
    editor,
    plan,
    findings,
    selected = $bindable(),
  }: { editor: PieceEditor; plan: PiecePlan; findings: Finding[]; selected: string } = $props();

  const settings = $derived(shared.settings!);
  const topFirst = $derived([...plan.coats].reverse());
  const marks = (c: CoatPlan): string | undefined => findings.find((f) => f.where.coatId === c.coat.id && f.severity !== 'note')?.severity;

  /** What a coat waits for. */
  function waits({ coat, number }: CoatPlan): string {
    if (number === 1) return plan.piece.surface.primer === 'none' ? 'on the board' : 'after primer is dry';
    if (coat.kind === 'wave' && coat.samePour) return `${plain(coat.layAt, 0)} min after mixing`;
    if (coat.samePour) return `same pour as ${number - 1}`;
    const below = plan.pours.find((p) => p.coats.some((c) => c.number === number - 1))?.batches.at(-1);
    return below ? `after ${writeSpan(below.windows.nextCoat.from, below.windows.nextCoat.until)}` : 'on its own';
  }

  const mm = (value: number): string => `${plain(value, 2)} mm`;
  const readFilm = (text: string) => readWithin(film, text, limits.film, 'A film', mm, 'mm');
  const readReach = (text: string) =>
    readWithin(length, text, limits.reach, 'A reach', (v) => writeLength(v, settings.length), settings.length);
  const readMinute = (text: string) => readWithin(duration, text, limits.minute, 'A wait', writeDuration, 'min');

  const addable = { sand: 'sand', sea: 'sea', wave: 'wave', glaze: 'glaze', clear: 'clear' } as const;

  async function add(kind: Coat['kind']) {
    const { piece, means } = plan;
    const resinId = piece.coats.at(-1)?.resinId ?? means.resins[0]?.id;
    if (!resinId) return;
    let n = 1;
    const taken = new Set(piece.coats.map((c) => c.id));
    while (taken.has(`${piece.id.slice(0, 48)}-${kind}-${n}`)) n++;
    const coat = startingCoat(kind, `${piece.id.slice(0, 48)}-${kind}-${n}`, resinId, piece.sea.edges.length + 1, means);
    const first = piece.coats.length === 0;
    await editor.commit(`Add a coat of ${addable[kind]}`, (p) => withCoatOnTop(p, first ? { ...coat, samePour: false } : coat));
    selected = coat.id;
  }
</script>

<Sheet title="Coats" aside="top first" class="h-full">
  <div class="min-h-0 grow overflow-y-auto">
    {#each topFirst as c (c.coat.id)}
      {@const open = c.coat.id === selected}
      {@const { coat } = c}
      <div class="border-b border-rule {open ? 'border-l-3 border-l-buoy bg-paper' : ''}">
        <button
          type="button"
          class="flex w-full gap-3 px-3 py-1 text-left leading-[1.3]"
          aria-expanded={open}
          onclick={() => (selected = coat.id)}
        >
          <span class="w-3 shrink-0 text-soft">{c.number}</span>
          <span class="min-w-0 grow">
            <span class="block truncate {open ? 'font-bold' : ''}"
              >{c.name}{#if marks(c)}<span class="ml-1 text-[13px] font-bold text-buoy">{marks(c)}</span>{/if}</span
            >
            <span class="block truncate text-[13px] text-soft">{waits(c)}</span>
          </span>
          <span class="shrink-0 text-right"
            ><span class="block">{fixed(c.film, coat.kind === 'wave' ? 2 : 1)}</span><span class="block text-[13px] text-soft"
              >{writeVolume(c.ml, settings.volume)}</span
            ></span
          >
        </button>
        {#if open}
          <div class="flex flex-col gap-1 px-3 pb-2">
            {#if coat.kind === 'wave'}
              {@const set = (label: string, change: Partial<typeof coat>) =>
                editor.commit(label, (p) => withCoat(p, coat.id, (old) => ({ ...old, ...change }) as Coat))}

              <LiveField
                narrow
                label="lay at"
                shows={`${plain(coat.layAt, 1)} min`}
                read={readMinute}
                value={coat.layAt}
                commit={(layAt) => set('Change when the white is laid', { layAt })}
              />
              <LiveField
                narrow
                label="to sea"
                shows={writeLength(coat.reachSea, settings.length)}
                read={readReach}
                value={coat.reachSea}
                commit={(reachSea) => set('Change the reach to sea', { reachSea })}
              />
              <LiveField
                narrow
                label="up beach"
                shows={writeLength(coat.reachUp, settings.length)}
                read={readReach}
                value={coat.reachUp}
                commit={(reachUp) => set('Change the reach up the beach', { reachUp })}
              />
            {:else}
              <LiveField
                narrow
                label="film"
                shows={mm(coat.film)}
                read={readFilm}
                hint={`${plain(coverage(coat.film), 1)} ml/100 cm²`}
                value={coat.film}
                commit={(v) => editor.commit(`Change the film of ${c.name}`, (p) => withFilm(p, coat.id, v))}
              />
            {/if}
            <button
              type="button"
              class="button button-quiet -ml-2 self-start"
              onclick={() => editor.commit(`Take off ${c.name}`, (p) => withoutCoat(p, coat.id))}>Take this coat off</button
            >
          </div>
        {/if}
      </div>
    {:else}
      <p class="p-3 text-soft">No coats yet. Add the first one: sand for a beach, or the sea.</p>
    {/each}
  </div>
  <div class="flex shrink-0 flex-wrap items-center border-t border-rule px-3 py-1 text-[13px]">
    <span class="text-soft">Add</span>
    {#each Object.entries(addable) as [kind, word] (kind)}
      <button type="button" class="button button-quiet px-[3px]! text-[13px]" onclick={() => add(kind as Coat['kind'])}>{word}</button>
    {/each}
  </div>
</Sheet>
