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
  (item.sort === 'motor' && item.motor.name) || (item.sort === 'control' && item.control.name) || item.name || 'Part without a name';

/** What is most worth knowing of a part, in a few figures. */
export const summaryOf = (item: ShelfItem): string => {
  const figures: Record<string, string[]> = {
    motor: [
      item.motor.plate.power || item.motor.plate.holdingTorque,
      item.motor.plate.speed,
      item.motor.plate.volts,
      item.motor.plate.amps
    ],
    control: [item.control.volts, item.control.amps],
    pulley: [
      item.wheel.diameter || (item.wheel.teeth && `${item.wheel.teeth} teeth`),
      item.wheel.section,
      item.wheel.bore && `bore ${item.wheel.bore}`
    ],
    belt: [item.wheel.section, item.length]
  };
  return (figures[item.sort] ?? []).filter(Boolean).join(', ');
};
