/** What each choice is called, in the order it is offered. */

export const loadMethods = [
  ['torque', 'torque, as known'],
  ['power', 'power, as known'],
  ['scale', 'weighed with a spring scale'],
  ['cutting', 'worked out from the cut'],
  ['comparable', 'a like machine'],
  ['replaced', 'the motor it had'],
  ['inertia', 'getting a mass up to speed'],
  ['pull', 'a straight pull'],
  ['screw', 'a screw or feed']
] as const;

export const operations = [
  ['turning', 'turning'],
  ['drilling', 'drilling'],
  ['milling', 'milling'],
  ['sawing', 'sawing'],
  ['sanding', 'sanding'],
  ['grinding', 'grinding']
] as const;

export const controlKinds = [
  ['phase-angle', 'Phase-angle drive'],
  ['pwm', 'PWM drive'],
  ['inverter', 'Inverter, three-phase out'],
  ['bldc', 'Brushless or servo drive'],
  ['stepper', 'Stepper driver'],
  ['capacitors', 'Fan capacitors'],
  ['inverter-1', 'Inverter, one phase out'],
  ['variac', 'Variable transformer'],
  ['resistor', 'Series resistor'],
  ['contactor', 'Plain switch (contactor)']
] as const;

export const stageKinds = [
  ['v', 'V belt'],
  ['link', 'Link belt'],
  ['poly-v', 'Poly-V belt'],
  ['flat', 'Flat belt'],
  ['toothed', 'Toothed belt'],
  ['chain', 'Chain'],
  ['spur', 'Spur or helical gears'],
  ['worm', 'Worm and wheel'],
  ['direct', 'Coupled straight']
] as const;
