/** Keeps the screen from going dark while a pour is on it. A device may refuse, on a low battery or by its settings. */
export class Awake {
  /** Whether it is kept awake; undefined until the device has answered. */
  kept = $state<boolean>();
  #lock: WakeLockSentinel | undefined;
  #wanted = false;

  /** Asks for it, and again each time the page is shown; gives back what ends that. */
  readonly hold = (): (() => void) => {
    this.#wanted = true;
    const ask = async () => {
      if (!this.#wanted || document.visibilityState !== 'visible') return;
      try {
        this.#lock = await navigator.wakeLock.request('screen');
        this.kept = true;
        this.#lock.addEventListener('release', () => (this.kept = false));
      } catch {
        this.kept = false;
      }
    };
    void ask();
    const shown = () => void ask();
    document.addEventListener('visibilitychange', shown);
    return () => {
      this.#wanted = false;
      document.removeEventListener('visibilitychange', shown);
      void this.#lock?.release().catch(() => undefined);
    };
  };
}
