import { fieldId } from '../form/fieldId';

/** A path without its last step; empty where there is none. */
const above = (path: string) => (/[.[]/.test(path) ? path.replace(/[.[][^.[]*$/, '') : '');

/** Brings a field into view and focuses it, or the nearest of what holds it that is there. */
export function intoView(field: string) {
  for (let path = field; path; path = above(path)) {
    const id = fieldId(path);
    const el = document.getElementById(id) ?? document.querySelector<HTMLElement>(`[id^="${id}-"]`);
    if (!el) continue;
    for (let fold = el.closest('details'); fold; fold = fold.parentElement?.closest('details') ?? null)
      fold.setAttribute('open', '');
    el.focus();
    el.scrollIntoView({ block: 'center' });
    return;
  }
}
