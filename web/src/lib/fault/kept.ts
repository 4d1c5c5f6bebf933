/** A search for a fault, kept over a reload: a phone lets go of a page while its owner holds a meter. */
export interface Search {
  words: string;
  symptom: string;
  done: { test: string; outcome: string }[];
  mended: string;
}

const key = (planId: string) => `jiriki.fault.${planId}`;

export function keepSearch(planId: string, search: Search) {
  try {
    sessionStorage.setItem(key(planId), JSON.stringify(search));
  } catch {
    // A browser that keeps nothing begins anew.
  }
}

export function keptSearch(planId: string): Search {
  const blank: Search = { words: '', symptom: '', done: [], mended: '' };
  try {
    return { ...blank, ...(JSON.parse(sessionStorage.getItem(key(planId)) ?? '{}') as Partial<Search>) };
  } catch {
    return blank;
  }
}
