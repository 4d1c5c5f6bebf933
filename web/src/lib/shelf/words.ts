import type { ShelfItem } from '../api/client';

/** What each sort of part is called, in the order the shelf shows them. */
export const sorts = [
  ['motor', 'Motors'],
  ['control', 'Controls'],
  ['pulley', 'Pulleys and wheels'],
  ['belt', 'Belts and chains'],
  ['other', 'Other parts']
] as const;

export const states = [
  ['untested', 'not tried yet'],
  ['works', 'works'],
  ['needs-work', 'needs work'],
  ['for-parts', 'for parts']
] as const;

export const nameOf = (item: ShelfItem) =>
  (item.sort === 'motor' && item.motor.name) ||
  (item.sort === 'control' && item.control.name) ||
  item.name ||
  'Part without a name';
