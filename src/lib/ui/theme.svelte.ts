/** How light the screens are: as the system is, or as was chosen on this device. It is no part of a studio. */
export type Theme = 'system' | 'light' | 'dark';

/** What static/theme.js reads before anything is drawn, and whenever the system turns. */
const KEY = 'nerite-theme';

/** A browser may be set to keep nothing: what is chosen then holds for as long as the page is open. */
function kept(): Theme {
  try {
    const own = localStorage.getItem(KEY);
    return own === 'light' || own === 'dark' ? own : 'system';
  } catch {
    return 'system';
  }
}
function keep(theme: Theme): void {
  try {
    if (theme === 'system') localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, theme);
  } catch {
    // as above
  }
}

class Appearance {
  readonly #dark = matchMedia('(prefers-color-scheme: dark)');
  #choice = $state<Theme>(kept());
  #system = $state(this.#dark.matches);

  constructor() {
    this.#dark.addEventListener('change', () => (this.#system = this.#dark.matches));
  }

  get choice(): Theme {
    return this.#choice;
  }

  get isDark(): boolean {
    return this.#choice === 'dark' || (this.#choice === 'system' && this.#system);
  }

  choose(theme: Theme): void {
    this.#choice = theme;
    keep(theme);
    document.documentElement.dataset['theme'] = this.isDark ? 'dark' : 'light';
  }
}

export const appearance = new Appearance();
