let running: Promise<number> | undefined;

/** Looks through all that is stored, aside; what cannot be read is put by. Asked again meanwhile, it is the same look. */
export const checkStored = (): Promise<number> =>
  (running ??= import('$lib/work/studio').then(({ checkStudio }) => checkStudio()).finally(() => (running = undefined)));
