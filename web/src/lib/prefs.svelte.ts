export type Units = 'metric' | 'inch';
export type Theme = 'system' | 'day' | 'night';

const stored = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};

const keep = (key: string, value: string) => {
  try {
    localStorage.setItem(key, value);
  } catch {
    // A browser that keeps nothing still works; the choice lasts as long as the page.
  }
};

const dark = matchMedia('(prefers-color-scheme: dark)');

/** What a person prefers on this device: units shown and day or night. */
class Prefs {
  units = $state<Units>(stored('jiriki.units') === 'inch' ? 'inch' : 'metric');
  theme = $state<Theme>((['day', 'night'] as const).find((t) => t === stored('jiriki.theme')) ?? 'system');
  /** Where scrap is found; decides what a donor machine usually holds. */
  region = $state(stored('jiriki.region') ?? 'europe');
  #systemDark = $state(dark.matches);
  shownTheme = $derived(this.theme === 'system' ? (this.#systemDark ? 'night' : 'day') : this.theme);

  constructor() {
    dark.addEventListener('change', (e) => (this.#systemDark = e.matches));
  }

  setUnits(units: Units) {
    this.units = units;
    keep('jiriki.units', units);
  }

  setRegion(region: string) {
    this.region = region;
    keep('jiriki.region', region);
  }

  setTheme(theme: Theme) {
    this.theme = theme;
    keep('jiriki.theme', theme);
  }
}

export const prefs = new Prefs();
