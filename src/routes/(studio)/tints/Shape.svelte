<script lang="ts">
  import { limits, type Slope } from '#core/document';
  import { withCupCount } from '#core/edit';
  import { bare, plain, readWithin, type Reading } from '#core/units';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { SlopeDraft, Worked } from './slope.svelte';
  import SliderField from '$lib/ui/SliderField.svelte';

  /** How many cups, from how pale to how deep, and how far the hue turns. */
  let { draft, work }: { draft: SlopeDraft; work: Worked } = $props();

  const slope = $derived(work.slope);
  const lightness = { ...bare, name: 'lightness', example: '0.6' };
  const count = { ...bare, name: 'count', example: '5' };
  const turned = { ...bare, name: 'turn', example: '12°' };
  /** Lightness two ends must be apart. */
  const APART = 0.02;
  const degrees = (v: number): string => `${plain(v, 1)}°`;
  const light = (v: number): string => plain(v, 3);

  const set = (label: string, part: Partial<Slope>, mark?: string) => draft.commit(label, (s) => ({ ...s, ...part }), mark);
  const show = (part: Partial<Slope>) => draft.preview((s) => ({ ...s, ...part }));

  const readPalest = (text: string): Reading => {
    const reading = readWithin(lightness, text, limits.lightness, 'A lightness', light);
    return reading.ok && reading.value < slope.deepest + APART
      ? {
          ok: false,
          says: `The palest must be lighter than the deepest, ${light(slope.deepest)}. Give ${light(slope.deepest + APART)} or more.`,
        }
      : reading;
  };
  const readDeepest = (text: string): Reading => {
    const reading = readWithin(lightness, text, limits.lightness, 'A lightness', light);
    return reading.ok && reading.value > slope.palest - APART
      ? {
          ok: false,
          says: `The deepest must be darker than the palest, ${light(slope.palest)}. Give ${light(slope.palest - APART)} or less.`,
        }
      : reading;
  };
  const readCups = (text: string): Reading => {
    const reading = readWithin(count, text.replace(/\s*cups?$/, ''), limits.slopeCups, 'A count', light);
    return reading.ok && !Number.isInteger(reading.value) ? { ok: false, says: 'Give a whole number of cups, 2 to 8.' } : reading;
  };
  const readTurn = (text: string): Reading => readWithin(turned, text.replace(/\s*(°|degrees?)$/, ''), limits.turn, 'A turn', degrees);
  const turn = $derived(work.solved.turn);
</script>

<Sheet title="Shape of the slope" class="shrink-0" aside={slope.palestFirst ? 'palest first' : 'deepest first'}>
  <div class="relative flex flex-col gap-0.5 px-3 py-1.5">
    <SliderField
      label="Cups"
      value={slope.cups.length}
      {...limits.slopeCups}
      step={1}
      shows={String(slope.cups.length)}
      read={readCups}
      preview={(n) => draft.preview((s) => withCupCount(s, n))}
      commit={(n) => draft.commit(`Make it ${n} cups`, (s) => withCupCount(s, n))}
    />
    <SliderField
      label="Palest"
      value={slope.palest}
      min={limits.lightness.min}
      max={limits.lightness.max}
      step={0.01}
      shows={light(slope.palest)}
      read={readPalest}
      preview={(palest) => show({ palest: Math.max(palest, slope.deepest + APART) })}
      commit={(palest) => set('Change the palest', { palest: Math.max(palest, slope.deepest + APART) })}
    />
    <SliderField
      label="Deepest"
      value={slope.deepest}
      min={limits.lightness.min}
      max={limits.lightness.max}
      step={0.01}
      shows={light(slope.deepest)}
      read={readDeepest}
      preview={(deepest) => show({ deepest: Math.min(deepest, slope.palest - APART) })}
      commit={(deepest) => set('Change the deepest', { deepest: Math.min(deepest, slope.palest - APART) })}
    />
    <SliderField
      label="Hue at shore"
      value={slope.turn}
      min={0}
      max={Math.max(1, Math.ceil(Math.max(turn.most, slope.turn)))}
      step={0.5}
      shows={degrees(slope.turn)}
      read={readTurn}
      preview={(v) => show({ turn: v })}
      commit={(v) => set('Change the turn of the hue', { turn: v })}
      disabled={!slope.toward.length}
      hint={!slope.toward.length
        ? 'Give the shore its own colourants above to turn the hue.'
        : slope.turn > turn.reached + 0.05
          ? `These colourants turn it by ${degrees(turn.most)} at most; it has that.`
          : undefined}
    />
  </div>
</Sheet>
