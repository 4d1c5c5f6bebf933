/** What can be guessed of a person from the language their browser speaks. */
export interface Habits {
  units: 'metric' | 'inch';
  region: string;
  money: string;
}

const inches = new Set(['US', 'LR', 'MM']);
const america = new Set(['US', 'CA', 'MX']);
const asia = new Set(['AU', 'NZ', 'JP', 'CN', 'KR', 'TW', 'HK', 'SG', 'MY', 'TH', 'VN', 'PH', 'ID', 'IN']);
const euro = 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' ');
const europe = new Set([...euro, ...'GB CH NO SE DK PL CZ HU RO BG IS UA RS AL BA ME MK MD LI'.split(' ')]);
const monies: Record<string, string> = {
  US: '$', CA: '$', AU: '$', NZ: '$', SG: '$', HK: '$', MX: '$', GB: '£', JP: '¥', CN: '¥', IN: '₹',
  CH: 'Fr', LI: 'Fr', NO: 'kr', SE: 'kr', DK: 'kr', IS: 'kr', PL: 'zł',
  ...Object.fromEntries(euro.map((country) => [country, '€']))
}; // prettier-ignore

/** Currencies there are to choose from; none at all where another is used. */
export const currencies = ['£', '$', '€', '¥', '₹', 'kr', 'zł', 'Fr', ''] as const;

/** Guesses by a language tag such as "en-GB". */
export function guess(language: string): Habits {
  let country = '';
  try {
    country = new Intl.Locale(language).maximize().region ?? '';
  } catch {
    // No language that is known: nothing is guessed.
  }
  return {
    units: inches.has(country) ? 'inch' : 'metric',
    region: america.has(country)
      ? 'north-america'
      : asia.has(country)
        ? 'asia-pacific'
        : europe.has(country) || country === ''
          ? 'europe'
          : 'elsewhere',
    money: monies[country] ?? ''
  };
}

/** A cost as it is kept: a bare number in the money it was typed beside. */
export function withMoney(text: string, mark: string): string {
  if (!mark || !/^\s*\d+([.,]\d*)?\s*$/.test(text)) return text;
  return /[£$€¥₹]/.test(mark) ? mark + text.trim() : `${text.trim()} ${mark}`;
}

const american: [from: RegExp, to: string][] = [
  [/\bearth(ed|ing|s)?\b/g, 'ground$1'],
  [/\bEarth(ed|ing|s)?\b/g, 'Ground$1'],
  [/\b([Aa])n (?=ground)/g, '$1 '],
  [/\b(?:the )?mains\b(?!-)/g, 'line power'],
  [/\b(?:The m|M)ains\b(?!-)/g, 'Line power'],
  [/\bmains-/g, 'line-'],
  [/\bMains-/g, 'Line-'],
  [/\bRCD\b/g, 'GFCI'],
  [/\bsocket\b/g, 'outlet'],
  [/\bSocket\b/g, 'Outlet']
];

/** A text in the words of a region. */
export const inWords = (text: string, region: string) =>
  region === 'north-america' ? american.reduce((said, [from, to]) => said.replace(from, to), text) : text;

/** An answer of the server in the words of a region. Only sentences are: a single word may be what something is known
 *  by, and names, places and notes are a person's own. */
export const answerInWords = (json: string, region: string) =>
  json.replace(/("(?:name|origin|place|notes)":)?"(?:[^"\\]|\\.)*"/g, (text, own?: string) =>
    own === undefined && text.includes(' ') ? inWords(text, region) : text
  );
