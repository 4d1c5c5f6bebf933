/** What each choice is called, in the order it is offered. */

export const machineKinds = [
  ['potters-wheel', "Potter's wheel"],
  ['lathe', 'Lathe'],
  ['drill', 'Drill'],
  ['mill', 'Mill'],
  ['grinder', 'Grinder'],
  ['saw', 'Saw'],
  ['crusher', 'Crusher or mixer'],
  ['extractor', 'Extractor or drum'],
  ['other', 'Something else']
] as const;

export const motorKinds = [
  ['pm-dc', 'Direct current, permanent magnet'],
  ['induction-3', 'Three-phase induction'],
  ['capacitor-start', 'Capacitor-start, single-phase']
] as const;

export const controlKinds = [
  ['phase-angle', 'Phase-angle DC drive'],
  ['pwm', 'PWM DC drive'],
  ['inverter', 'Inverter, three-phase out'],
  ['contactor', 'Plain switch (contactor)']
] as const;

export const stageKinds = [
  ['v', 'V belt'],
  ['poly-v', 'Poly-V belt'],
  ['toothed', 'Toothed belt'],
  ['chain', 'Chain'],
  ['spur', 'Spur gears'],
  ['direct', 'Coupled straight']
] as const;
