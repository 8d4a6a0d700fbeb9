<script lang="ts">
  import { laying, order } from '#core/craft';
  import type { Finding } from '#core/advice';
  import { laidOf } from '#core/coat';
  import { limits, type Coat, type Piece } from '#core/document';
  import { withCoat, withCoatMoved, withCoatTwice, withFilm, withLaid, withoutCoat } from '#core/edit';
  import type { CoatPlan, PiecePlan } from '#core/plan';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import Findings from '$lib/ui/Findings.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import NameField from '$lib/ui/NameField.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import CoatPart from './CoatPart.svelte';
  import type { PieceEditor } from './editor.svelte';
  import { overWords } from './words';

  /** What one coat is planned with: its film or its line, how it is laid, where, and after what. */
  interface Props {
    editor: PieceEditor;
    plan: PiecePlan;
    c: CoatPlan;
    /** What is to be minded about it. */
    findings: Finding[];
    /** The keyboard is to go to a coat of the list. */
    onmoved: (coatId: string) => void;
    /** Back to what stood in its place. */
    onback: () => void;
  }
  let { editor, plan, c, findings, onmoved, onback }: Props = $props();

  const coat = $derived(c.coat);
  const thick = (mm: number): string => shared.write.film(mm);
  const readFilm = (text: string) => reads.current.film(text, limits.film, 'A film');
  const change = (label: string, to: (old: Coat) => Coat) => {
    const id = coat.id;
    return editor.commit(label, (p) => withCoat(p, id, to));
  };
  const set = <T extends Coat>(label: string, part: Partial<T>) => change(label, (old) => ({ ...old, ...part }) as Coat);
  const act = (label: string, to: (p: Piece, id: string, number: number) => Piece) => {
    // a change is made to the draft and then to what is stored, so what it reads must stand still
    const [{ id }, { number }] = [coat, c];
    return editor.commit(label, (p) => to(p, id, number));
  };
  const move = (way: 'up' | 'down', to: (p: Piece, id: string, number: number) => Piece) => {
    const { id } = coat;
    void act(`Move ${c.name} ${way}`, to).then(() => onmoved(id));
  };
  async function takeOff() {
    const below = plan.coats[c.number - 2] ?? plan.coats[c.number];
    await act(`Take off ${c.name}`, withoutCoat);
    if (below) onmoved(below.coat.id);
  }
  /** Where it stands below its list, on a small screen, it is brought into sight. */
  const shown = (node: HTMLElement): void => {
    const sheet = node.closest('section');
    if (matchMedia('(width < 40rem)').matches) sheet?.scrollIntoView({ block: 'start' });
  };
  /** A name of one's own; without one it goes by its kind. */
  const rename = (value: string) =>
    change(`Rename ${c.name}`, (old) => {
      const { name: _, ...rest } = old;
      return (value ? { ...rest, name: value } : rest) as Coat;
    });
</script>

<Sheet title="{c.number} {c.name}" class="h-full">
  {#snippet aside()}
    <p class="flex min-w-0 gap-3 text-[13px] text-soft">
      <span class="truncate">{overWords(coat, shared.write, plan.piece.sea)}{c.area > 0 ? `, ${shared.write.area(c.area)}` : ''}</span>
      <button type="button" class="whitespace-nowrap underline" onclick={onback}>Back to the cups <kbd>Esc</kbd></button>
    </p>
  {/snippet}
  <div class="min-h-0 grow overflow-y-auto px-3 py-1 text-[13px]" {@attach shown}>
    {#if findings.length}<div class="-mx-3 mb-1.5"><Findings {findings} /></div>{/if}
    <div class="grid grid-cols-2 items-start gap-x-3 gap-y-0.5 xl:grid-cols-3">
      {#if coat.kind === 'wave'}
        {#await import('./WavePart.svelte') then { default: WavePart }}<WavePart {plan} {coat} {change} {set} />{/await}
      {:else if coat.kind === 'thread'}
        {#await import('./ThreadPart.svelte') then { default: ThreadPart }}<ThreadPart {plan} {coat} {change} {set} />{/await}
      {:else if coat.kind === 'top'}
        <LiveField
          small
          label="cover"
          shows={thick(coat.cover)}
          read={readFilm}
          hint={`over the highest point; ${thick(c.film)} on the mean, ${shared.write.coverage(c.film)}`}
          value={coat.cover}
          commit={(v) => act('Change the cover of the top', (p, id) => withFilm(p, id, v))}
        />
      {:else}
        <LiveField
          small
          label="film"
          shows={thick(coat.film)}
          read={readFilm}
          hint={shared.write.coverage(coat.film)}
          value={coat.film}
          commit={(v) => act(`Change the film of ${c.name}`, (p, id) => withFilm(p, id, v))}
        />
        {#if coat.kind === 'sand'}
          {#await import('./SandPart.svelte') then { default: SandPart }}<SandPart {plan} {coat} {set} {act} {takeOff} />{/await}
        {:else if coat.kind === 'base'}
          {#await import('./BasePart.svelte') then { default: BasePart }}<BasePart {c} {coat} {act} />{/await}
        {:else if coat.kind === 'sea'}
          {@const slope = shared.slopes?.find((s) => s.id === coat.slopeId)}
          {#if slope}<p class="order-1 col-span-full text-soft">
              Its tints are those of <a class="underline" href="/tints?slope={slope.id}">{slope.name}</a>
            </p>{/if}
          <LiveField
            small
            label="bed of clear"
            shows={thick(coat.bed ?? 0)}
            read={(t) => reads.current.film(t, { min: 0, max: Math.max(0, coat.film - 0.1) }, 'A bed under this film')}
            hint="its share of the film"
            value={coat.bed ?? 0}
            commit={(bed) => set('Change the bed', { bed })}
          />
          <SchoolField
            school={order}
            value={coat.order ?? 'deep to shore'}
            onchange={(way) =>
              change('Change the order of tints', (old) => {
                const { order: _, ...rest } = old as typeof coat;
                return way === 'deep to shore' ? rest : { ...rest, order: way };
              })}
          />
        {/if}
        {#if coat.kind === 'glaze' || coat.kind === 'sea'}{#await import('./Lacing.svelte') then { default: Lacing }}<Lacing
              {plan}
              coatId={coat.id}
            />{/await}{/if}
        <SchoolField
          school={laying}
          value={laidOf(coat)}
          onchange={(laid) => act('Change how it is laid', (p, id) => withLaid(p, id, laid, plan.means.resins))}
        />
      {/if}
      <CoatPart {editor} {plan} {c} />
      <NameField small label="name" value={coat.name ?? ''} placeholder={c.name} commit={rename} />
    </div>
  </div>
  {#if c.cups.length && !coat.lies}
    <p aria-label="Cups of this coat" class="shrink-0 truncate border-t border-rule px-3 py-1 text-[13px] text-soft">
      {c.cups.map((cup) => `${cup.name} ${shared.write.volume(cup.ml)}`).join(' · ')}
    </p>
  {/if}
  <div class="flex shrink-0 flex-wrap border-t border-rule px-1 text-[13px]">
    <button type="button" class="button button-quiet px-2!" onclick={() => act(`Lay ${c.name} twice`, withCoatTwice)}>Duplicate</button>
    <button
      type="button"
      class="button button-quiet px-2!"
      disabled={c.number === plan.coats.length}
      onclick={() => move('up', (p, id, number) => withCoatMoved(p, id, number))}>Up</button
    >
    <button
      type="button"
      class="button button-quiet px-2!"
      disabled={c.number === 1}
      onclick={() => move('down', (p, id, number) => withCoatMoved(p, id, number - 2))}>Down</button
    >
    <button type="button" class="button button-quiet px-2!" onclick={takeOff}>Take this coat off</button>
  </div>
</Sheet>
