/** Words people have for one thing, on either side of the water. */
const families: readonly (readonly string[])[] = [
  ['earth', 'ground'],
  ['amps', 'current', 'ampere'],
  ['volts', 'voltage'],
  ['hertz', 'frequency', 'cycles'],
  ['wheel', 'pulley', 'sheave'],
  ['breaker', 'fuse'],
  ['inverter', 'vfd', 'frequency drive'],
  ['drive', 'controller', 'control'],
  ['speed', 'rpm', 'turns'],
  ['power', 'horsepower', 'watts'],
  ['centre', 'center'],
  ['colour', 'color'],
  ['guard', 'cover'],
  ['cable', 'cord', 'lead', 'flex'],
  ['socket', 'outlet', 'receptacle'],
  ['no-volt', 'magnetic starter', 'restart'],
  ['shaft', 'spindle'],
  ['print', 'paper', 'sheet'],
  ['compare', 'beside'],
  ['shed', 'machines', 'home'],
  ['shelf', 'parts', 'stock'],
  ['coil', 'solenoid', 'contactor', 'magnet coil'],
  ['winding', 'coil', 'armature', 'field'],
  ['strobe', 'stroboscope', 'flash', 'images'],
  ['tachometer', 'rev counter', 'tacho'],
  ['dry run', 'simulation', 'simulate', 'simulator'],
  ['spring scale', 'luggage scale', 'torque wrench', 'pull', 'weigh'],
  ['rope brake', 'prony', 'dynamometer', 'dyno'],
  ['heat', 'hot', 'warm', 'temperature', 'thermal', 'burn'],
  ['slip', 'slips', 'slipping', 'squeal'],
  ['stop', 'emergency', 'e-stop'],
  ['hum', 'buzz', 'growl'],
  ['log', 'diary', 'notebook', 'history'],
  ['exercise', 'practice', 'training', 'lesson'],
  ['wiring', 'wires', 'diagram', 'schematic'],
  ['gear', 'gears', 'ratio', 'reduction'],
  ['capacitor', 'condenser', 'microfarad'],
  ['run-down', 'spin-down', 'coast']
];

/** A word and what else it is called; a word half typed counts for those it begins, one of many for the one. */
export const called = (word: string): string[] => {
  const one = word.length > 4 ? word.replace(/s$/, '') : word;
  const begins = (name: string) => name.split(' ').some((part) => part.startsWith(one));
  return [word, one, ...families.filter((f) => word.length > 2 && f.some(begins)).flat()];
};
