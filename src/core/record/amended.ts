import { stepKey, type PourEvent, type StepRef, type Told, type ToldStep } from '#core/document';

/** Where a step stands, or the end where it does not. */
function placeOf(steps: ToldStep[], before: StepRef | undefined): number {
  const at = before ? steps.findIndex((s) => stepKey(s.id) === stepKey(before)) : -1;
  return at < 0 ? steps.length : at;
}

const inserted = (steps: ToldStep[], more: ToldStep[], before: StepRef | undefined): ToldStep[] =>
  steps.toSpliced(placeOf(steps, before), 0, ...more);

/** Steps with one put before another; as they are where either is not among them. */
function swapped(steps: ToldStep[], step: StepRef, before: StepRef): ToldStep[] {
  const moved = steps.find((s) => stepKey(s.id) === stepKey(step));
  const known = steps.some((s) => stepKey(s.id) === stepKey(before));
  return moved && known && stepKey(step) !== stepKey(before)
    ? inserted(
        steps.filter((s) => s !== moved),
        [moved],
        before,
      )
    : steps;
}

/**
 * What a pour is told once something was asked for at the bench: a plan in the place of the one before, steps put in, with
 * cups and mixings of their own after those there are, one step before another. Any other event leaves it as it is.
 */
export function amended(told: Told, event: PourEvent): Told {
  switch (event.kind) {
    case 'replanned':
      return event.told;
    case 'added': {
      const { steps, cups = [], batches = [], before } = event;
      return {
        ...told,
        steps: inserted(told.steps, steps, before),
        cups: [...told.cups, ...cups],
        batches: [...told.batches, ...batches],
      };
    }
    case 'swapped':
      return { ...told, steps: swapped(told.steps, event.step, event.before) };
    default:
      return told;
  }
}
