<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { colourantKinds, type ColourantKind } from '#core/craft';
  import { freeId } from '#core/edit';
  import type { Colourant } from '#core/document';
  import { readDose } from '#core/mix';
  import { byEye, covers, groundNamed, hexOf, LOOK_FILM, readColour, recipeSeen, strengths, type Strength } from '#core/tint';
  import type { Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { put, readName } from './put';

  /** A colourant by its look: picked, with a word for its strength or with the cup it looked like that in. New, or one that is there. */
  let { open = $bindable(), of }: { open: boolean; of?: Colourant | undefined } = $props();

  const kinds = Object.keys(colourantKinds) as ColourantKind[];
  const words: Record<Strength, string> = { weak: 'weak: it takes many drops', ordinary: 'ordinary', strong: 'strong: a drop does much' };
  const looks = [...strengths.map((value) => ({ value, label: words[value] })), { value: 'cup' as const, label: 'as it looked in a cup' }];

  // svelte-ignore state_referenced_locally
  let name = $state(of?.name ?? '');
  // svelte-ignore state_referenced_locally
  let kind = $state<ColourantKind>(of?.kind ?? 'liquid pigment');
  let colour = $state('#2a8fae');
  let look = $state<Strength | 'cup'>('ordinary');
  let dose = $state('5 drops');
  let into = $state(shared.write.volume(shared.write.units.volume === 'ml' ? 50 : 59.147059125));
  let insist = $state(false);

  const facts = $derived(colourantKinds[kind]);
  const bare = $derived({
    kind,
    name: name.trim() || 'It',
    density: of?.density ?? facts.density,
    ...(facts.dropMl && { dropMl: facts.dropMl }),
  });
  const amount = $derived(reads.current.volume(into, { min: 1, max: 5000 }, 'A cup'));
  /** Resin of an ordinary density in that cup, g. */
  const resinG = $derived(amount.ok ? amount.value * 1.1 : 0);
  const readLook = (text: string): Reading => {
    const reading = readDose(text, { colourant: bare, resinG }, shared.write);
    return reading.ok && reading.value <= 0 ? { ok: false, says: 'Nothing of it has no colour. Give one drop or more.' } : reading;
  };
  const picked = $derived(readColour(colour));
  const load = $derived(look === 'cup' ? readLook(dose) : undefined);
  const ks = $derived.by(() => {
    if (!picked.ok || (load && (!load.ok || !amount.ok))) return undefined;
    return byEye(kind, picked.value, load?.ok ? { load: load.value } : (look as Strength));
  });
  const WHITE = groundNamed('white primer').internal;
  /** Films of it over white, from few drops to many, as they will be drawn. */
  const ladder = $derived(
    ks
      ? [0.25, 0.5, 1, 2, 4].map((share) => {
          const at = share * (load?.ok ? load.value : covers(kind) ? 0.02 : 0.002);
          const own: Colourant = { id: 'own', name: '', kind, density: 1, solids: 0, ...ks };
          return hexOf(recipeSeen([{ colourantId: 'own', load: at }], [own], LOOK_FILM, WHITE));
        })
      : [],
  );

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    insist = true;
    if (!readName(name).ok || !ks) return;
    const { dropMl } = facts;
    const id = of?.id ?? freeId('colourant', shared.colourants ?? []);
    const start: Colourant = of ?? { id, name: '', kind, density: facts.density, solids: facts.base === 'dry' ? 0.5 : 0.15, ...ks };
    const { dropMl: had, ...rest } = start;
    const drop = of?.kind === kind ? had : dropMl;
    const row: Colourant = { ...rest, name: name.trim(), kind, ...(drop && { dropMl: drop }), ...ks, byEye: true };
    const stored = await put(of ? `Colour ${row.name} by eye` : `Add ${row.name}`, {
      table: 'colourants',
      id,
      row,
      ...(of && { was: of }),
    });
    if (stored) open = false;
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-shade/40" />
    <Dialog.Content
      class="sheet fixed top-1/2 left-1/2 z-50 max-h-[calc(100dvh-24px)] w-[min(520px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5"
    >
      <Dialog.Title class="font-serif text-[22px]">{of ? `${of.name} by eye` : 'A colourant by eye'}</Dialog.Title>
      <Dialog.Description class="mt-1 text-soft">
        Pick what a thin film of it looks like over white, as a smear on the wall of its cup. It stays “by eye” until a smear is measured.
      </Dialog.Description>
      <form class="mt-4 grid gap-3 sm:grid-cols-2" onsubmit={keep} novalidate>
        <Field
          label="Name"
          bind:text={name}
          read={(t) => (readName(t).ok ? { ok: true, value: 0 } : { ok: false, says: 'Give it a name of up to 80 letters.' })}
          {insist}
        />
        <Choice label="Kind" bind:value={kind} options={kinds.map((value) => ({ value, label: value }))} />
        <div class="flex items-start gap-2">
          <div class="grow">
            <Field
              label="Colour"
              bind:text={colour}
              read={(t) => {
                const reading = readColour(t);
                return reading.ok ? { ok: true, value: 0 } : reading;
              }}
              {insist}
            />
          </div>
          <input
            type="color"
            class="mt-[22px] h-[34px] w-14 shrink-0 rounded-sheet border border-line bg-paper"
            aria-label="Pick the colour"
            value={picked.ok ? hexOf(picked.value) : '#2a8fae'}
            oninput={(e) => (colour = e.currentTarget.value)}
          />
        </div>
        <Choice label="How strong it is" bind:value={look} options={looks} />
        {#if look === 'cup'}
          <Field label="So much of it" bind:text={dose} read={readLook} {insist} hint="As in 5 drops, or a pea." />
          <Field label="in so much resin" bind:text={into} read={() => amount} {insist} />
        {/if}
        <div class="sm:col-span-2">
          <p class="text-[13px] text-soft">Over white, from a quarter of that to four times as much</p>
          <div class="mt-1 flex h-8 overflow-hidden rounded-sheet border border-line">
            {#each ladder as hex, i (i)}<span class="grow" style:background-color={hex} title={hex}></span>{/each}
          </div>
        </div>
        <div class="flex justify-end gap-2 sm:col-span-2">
          <Dialog.Close type="button" class="button">Not yet</Dialog.Close>
          <button type="submit" class="button button-main">{of ? 'Keep it' : 'Put it on the shelf'}</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
