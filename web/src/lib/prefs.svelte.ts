import { guess } from './region';

export type Units = 'metric' | 'inch';
export type Theme = 'system' | 'day' | 'night';

export const unitChoices: readonly (readonly [units: Units, words: string])[] = [
  ['metric', 'metric'],
  ['inch', 'inch']
];

const stored = (key: string): string | null => {
  try {
    return localStorage.getItem(`jiriki.${key}`);
  } catch {
    return null;
  }
};

const keep = (key: string, value: string) => {
  try {
    localStorage.setItem(`jiriki.${key}`, value);
  } catch {
    // A browser that keeps nothing still works; the choice lasts as long as the page.
  }
};

const dark = matchMedia('(prefers-color-scheme: dark)');
const guessed = guess(navigator.language);

/** What a person prefers on this device: units, region, money, and day or night. */
class Prefs {
  units = $state<Units>((['metric', 'inch'] as const).find((u) => u === stored('units')) ?? guessed.units);
  theme = $state<Theme>((['day', 'night'] as const).find((t) => t === stored('theme')) ?? 'system');
  /** Where the workshop is: what scrap holds there, the volts of a socket, the words for what is wired. */
  region = $state(stored('region') ?? guessed.region);
  /** The mark of the money costs are typed in; empty for none. */
  money = $state(stored('money') ?? guessed.money);
  /** Whether units, region and money are only guessed yet. */
  guessed = $state(['units', 'region', 'money'].some((key) => stored(key) === null));
  #systemDark = $state(dark.matches);
  shownTheme = $derived(this.theme === 'system' ? (this.#systemDark ? 'night' : 'day') : this.theme);
  /** What answers of the server go by. */
  answers = $derived(`${this.units} ${this.region}`);

  constructor() {
    dark.addEventListener('change', (e) => (this.#systemDark = e.matches));
  }

  setUnits(units: Units) {
    this.units = units;
    keep('units', units);
  }

  setRegion(region: string) {
    this.region = region;
    keep('region', region);
  }

  setMoney(money: string) {
    this.money = money;
    keep('money', money);
  }

  setTheme(theme: Theme) {
    this.theme = theme;
    keep('theme', theme);
  }

  /** Takes what was guessed as right. */
  settle() {
    this.setUnits(this.units);
    this.setRegion(this.region);
    this.setMoney(this.money);
    this.guessed = false;
  }
}

export const prefs = new Prefs();
