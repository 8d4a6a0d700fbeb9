/**
 * Which window of this browser leads a pour: the first that has it open. All show the same and take every press; only the
 * one that leads speaks and sounds. When it is closed the next one leads.
 */
export class Leading {
  /** Undefined until it is known. */
  here = $state<boolean>();

  /** Asks to lead; gives back what lets go of it. */
  lead(pourId: string): () => void {
    if (!('locks' in navigator)) {
      this.here = true;
      return () => undefined;
    }
    const gone = new AbortController();
    let release: (() => void) | undefined;
    const held = () =>
      new Promise<void>((resolve) => {
        this.here = true;
        release = resolve;
        if (gone.signal.aborted) resolve();
      });
    const name = `nerite pour ${pourId}`;
    void navigator.locks
      .request(name, { ifAvailable: true }, (lock) => (lock ? held() : 'taken'))
      .then((answer) => {
        if (answer !== 'taken' || gone.signal.aborted) return undefined;
        this.here = false;
        return navigator.locks.request(name, { signal: gone.signal }, held);
      })
      .catch(() => undefined);
    return () => {
      gone.abort();
      release?.();
    };
  }
}
