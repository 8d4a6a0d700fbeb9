<script lang="ts">
  import { pricingOf } from '#core/craft';
  import { limits, type DiaryEntry, type Piece, type Sold } from '#core/document';
  import { finishedWork, finishSteps } from '#core/prepare';
  import { bare, readWithin } from '#core/units';
  import { removeEntries, setDone } from '$lib/store/diary';
  import { editThing, LOG } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import { money } from '$lib/ui/money';

  /** What is done after the last film is hard, with its ticks; what it weighs, to whom it went, and for how much. @prop quoted what its quote came to */
  let { piece, quoted }: { piece: Piece; quoted: number | undefined } = $props();
  const steps = $derived(shared.method ? finishSteps(piece, shared.method, shared.write) : []);
  const did = $derived(
    new Map(
      (shared.diary ?? []).flatMap((e): [string, Extract<DiaryEntry, { kind: 'did' }>][] => (e.kind === 'did' ? [[e.operation, e]] : [])),
    ),
  );
  /** Old and short names alike: what the calendar ticked as a whole is done. */
  const whole = $derived(did.get(finishedWork(piece)));
  const doneAt = (work: string): number | undefined => {
    const entry = did.get(work) ?? (work.endsWith('/deliver') ? undefined : whole);
    return entry && Date.parse(entry.at);
  };
  async function tick(work: string, does: string, on: boolean) {
    const entry = did.get(work);
    if (!on)
      return void attempt(() =>
        removeEntries(
          `Take back: ${does}`,
          [entry, work.endsWith('/deliver') ? undefined : whole].filter((e) => e !== undefined),
        ),
      );
    const others = steps.filter((s) => !s.work.endsWith('/deliver') && s.work !== work);
    const all = !work.endsWith('/deliver') && !whole && others.every((s) => did.has(s.work));
    await attempt(() => setDone([work, ...(all ? [finishedWork(piece)] : [])], Date.now(), does));
  }

  let [weight, price] = $state(['', '']);
  let problem = $state('');
  const change = (label: string, fields: Partial<{ [K in keyof Piece]: Piece[K] | undefined }>) =>
    attempt(() =>
      editThing(
        'pieces',
        piece.id,
        LOG,
        label,
        (p) => Object.fromEntries(Object.entries({ ...p, ...fields }).filter(([, v]) => v !== undefined)) as unknown as Piece,
      ),
    );
  const sold = (fields: { [K in keyof Sold]: Sold[K] | undefined }) => {
    const now = Object.fromEntries(Object.entries({ ...piece.sold, ...fields }).filter(([, v]) => v !== undefined && v !== '')) as Sold;
    return change('Say to whom it went', { sold: Object.keys(now).length ? now : undefined });
  };
  async function weigh() {
    if (!weight.trim()) return;
    const reading = reads.current.heavy(weight, limits.weighs, 'The piece');
    problem = reading.ok ? '' : reading.says;
    if (reading.ok && (await change('Weigh it', { weighs: reading.value }))) weight = '';
  }
  async function got() {
    if (!price.trim()) return;
    const reading = readWithin(bare, price.replace(/[^\d.,\s]/g, '').trim(), limits.price, 'A price', (v) => String(v));
    problem = reading.ok ? '' : reading.says;
    if (reading.ok && (await sold({ price: reading.value }))) price = '';
  }
  const currency = $derived(shared.settings ? pricingOf(shared.settings).currency : '');
</script>

<div class="flex flex-col gap-3">
  <ul class="flex flex-col">
    {#each steps as step (step.work)}
      {@const at = doneAt(step.work)}
      <li class="border-b border-rule py-1.5">
        <label class="flex items-baseline gap-2">
          <input type="checkbox" checked={at !== undefined} onchange={(e) => tick(step.work, step.does, e.currentTarget.checked)} />
          <span class={at === undefined ? '' : 'text-soft'}>{step.does}</span>
          {#if at !== undefined}<span class="ml-auto text-[12px] whitespace-nowrap text-soft">{dayMonth(at)}</span>{/if}
        </label>
        {#if step.caution && at === undefined}<p class="ml-6 text-[12px] text-warnink">{step.caution}</p>{/if}
      </li>
    {/each}
  </ul>
  <div class="grid gap-2 sm:grid-cols-2">
    <label class="text-[13px] text-soft"
      >it weighs{piece.count > 1 ? ', one of them' : ''}<input
        class="input text-ink"
        bind:value={weight}
        placeholder={piece.weighs === undefined ? shared.write.heavy(1400) : shared.write.heavy(piece.weighs * 1000)}
        onchange={weigh}
      /></label
    >
    <label class="text-[13px] text-soft"
      >sold for, {currency}<input
        class="input text-ink"
        bind:value={price}
        placeholder={piece.sold?.price === undefined ? '' : String(piece.sold.price)}
        onchange={got}
      /></label
    >
    <label class="text-[13px] text-soft"
      >to whom<input
        class="input text-ink"
        maxlength="400"
        value={piece.sold?.to ?? ''}
        onchange={(e) => sold({ to: e.currentTarget.value.trim() || undefined })}
      /></label
    >
    <label class="text-[13px] text-soft"
      >on<input
        type="date"
        class="input text-ink"
        value={piece.sold?.on ?? ''}
        onchange={(e) => e.currentTarget.checkValidity() && sold({ on: e.currentTarget.value || undefined })}
      /></label
    >
  </div>
  {#if problem}<p role="alert" class="text-[13px] text-buoy">{problem}</p>{/if}
  {#if piece.sold?.price !== undefined && quoted !== undefined && shared.settings}
    {@const by = piece.sold.price - quoted}
    <p class="text-[13px]">
      {money(piece.sold.price, shared.settings)} got, {money(quoted, shared.settings)} by its quote:
      <b>{money(Math.abs(by), shared.settings)} {by >= 0 ? 'over' : 'under'} it</b>.
    </p>
  {/if}
  <a class="button self-start" href="/log/piece/{piece.id}/card">Care card</a>
</div>
