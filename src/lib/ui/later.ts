/** At the latest after so long, ms. */
const LATEST = 2000;

/** Resolves when the browser has nothing more urgent to do: what is fetched then does not hold up a screen that is being opened. */
export const later = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => resolve(), { timeout: LATEST });
    else setTimeout(resolve, LATEST / 4);
  });
