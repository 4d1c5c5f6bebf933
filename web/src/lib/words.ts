type Entry = readonly [word: string, means: string];

/** The words that mean something of their own here, each in a sentence. */
const own: readonly Entry[] = [
  ['supply', 'What the line begins with: what comes out of the wall, or a battery, with its breaker and cable.'],
  ['control', 'What stands between supply and motor: a switch, a drive, an inverter.'],
  ['motor', 'What makes the torque: its plate as it reads, and what was measured of it, which outranks the plate.'],
  ['work', 'Where the line ends: the machine, its limits, and the jobs it must do.'],
  ['slate', 'The blank at the head of the shed, and behind the / key: type figures in shop words, read what follows.'],
  ['machine', 'What gets the motor: it has limits, such as the most its spindle may turn, and jobs.'],
  ['job', 'One thing the machine must do: how fast, against how much torque or power, for how long at a time.'],
  ['line', 'What the power goes through from the wall to the tool: supply, control, motor, reduction, work.'],
  ['station', 'One of those five; its bench is where its figures are put in.'],
  ['plan', 'One way to build the line. A machine may have several, A, B, C, and they can be set beside each other.'],
  ['shelf', 'The motors, controls, pulleys and belts on hand.'],
  ['reduction', 'What stands between motor and spindle: belts, chains, gears, a worm, or nothing.'],
  ['position', 'One belt or gear setting of the reduction.'],
  ['reach', 'The torque to be had at the spindle at each speed: all day, five minutes in fifteen, for some seconds.'],
  [
    'margin',
    'What there is over what a job takes. ×1 is just enough; how much more is wanted goes by how the job was found.'
  ],
  [
    'verdict',
    'Two answers, never mixed: may it be powered, and does it do the jobs; and what stands in the way of either.'
  ],
  ['stop', 'Something that can hurt. Until it is cleared the plan must not be powered.'],
  ['caution', 'Something to look at: it can hurt or disappoint.'],
  ['working', 'How a figure came about: click it for the formula, your numbers in it, and where the rule comes from.'],
  ['trim', 'A set screw or setting of the drive that holds its top speed, its slowest or its current.'],
  [
    'speed plate',
    'The sheet for the machine: what each position and mark of the knob turns at, and what it must never pass.'
  ],
  ['rail', 'The steps under the line, in the order the work is done, each with how far it is.'],
  ['sheet', 'What is printed: verdict, speed plate, settings, build with its wiring.']
];

/** The trade's words, each in a sentence. */
const trade: readonly Entry[] = [
  ['armature', 'The part of a brushed motor that turns and carries the current its brushes bring.'],
  ['back-EMF', 'The volts a turning motor makes against the ones it is fed; what is left over drives its current.'],
  [
    'base hertz',
    'The hertz at which an inverter gives all its volts. Above it a motor keeps its power and loses torque.'
  ],
  ['brake resistor', 'Takes the heat of what a drive slows down, so that its volts do not climb until it trips.'],
  ['breakaway', 'The torque that just starts it from rest. It is often more than what keeps it turning.'],
  ['breaker', 'What opens the circuit at too many amps. It guards the cable, not the motor.'],
  ['capacitor', 'Shifts the current of a second winding, so that a single-phase motor starts, or runs smoother.'],
  ['chip per tooth', 'How thick a shaving each tooth takes.'],
  ['choke', 'A coil that smooths the lumps in a drive’s current, so that the motor runs cooler.'],
  ['clutch', 'Lets the motor come up to speed before it takes hold of the load.'],
  ['commutator', 'The copper segments on a brushed motor’s shaft that the brushes run on.'],
  ['conductor', 'The copper of one wire in a cable, by the area of its section.'],
  ['current limit', 'The most amps a drive lets through, and so the most torque it lets the motor make.'],
  ['diametral pitch', 'Teeth of a gear to each inch of its pitch diameter; 25.4 over the module.'],
  ['duty', 'How long it works at a time and how long it rests: what heats it goes by both.'],
  ['enclosure', 'How closed a motor is against water and dust, and how its air gets through.'],
  ['feed', 'How far the tool goes for each turn.'],
  ['flywheel', 'A heavy wheel that gives its speed away in a bite and must be brought back before the next.'],
  ['form factor', 'How lumpy a current is: what heats the motor over what makes torque. 1 is smooth.'],
  ['frame', 'On a plate, the standard its feet, shaft and shaft height are made to; else the machine’s own iron.'],
  ['friction', 'What must be pushed against just to keep it turning.'],
  ['hertz', 'How often the supply swings in a second. It sets how fast a motor on the line turns.'],
  ['inertia', 'How much what turns resists being sped up: its weight, by the square of how far out it sits.'],
  ['insulation', 'The letter for how hot the windings may get for years: B 130 °C, F 155 °C, H 180 °C at the hottest.'],
  ['inverter', 'Makes three phases of any hertz, so that a three-phase motor turns at any speed.'],
  ['isolator', 'Passes a signal and keeps the volts of one side from the other.'],
  ['kerf', 'How wide a slot the saw leaves.'],
  ['key', 'The bar between shaft and hub that carries the torque.'],
  ['lead', 'How far a screw’s nut goes in one turn.'],
  ['limit', 'What must not be passed: the speed of a spindle, the amps of a drive.'],
  ['module', 'Pitch diameter of a gear over its teeth, in millimetres.'],
  ['no-volt', 'A switch that drops out when power fails, so that nothing starts by itself when it returns.'],
  ['pitch', 'Where a belt or a gear truly runs: the pitch diameter makes the ratio, not the rim.'],
  ['plate', 'What is stamped on the motor. It can lie; a reading on the bench beats it.'],
  ['poles', 'How many magnet poles a winding makes: hertz × 120 over the poles is its no-load speed.'],
  ['power factor', 'Share of the amps drawn that does work.'],
  ['residual-current device', 'Trips when current goes anywhere but back: through you, for one.'],
  ['service factor', 'How far above its plate a motor may be worked, where the plate grants it.'],
  ['set screw', 'A screw on the shaft that holds by pressing. Alone it is not for torque that reverses or shocks.'],
  ['slip', 'How much slower than its field, or its belt, something turns under load.'],
  ['surface speed', 'How fast tool and work pass each other at the edge.'],
  ['synchronous', 'Turning exactly with its field: a motor on the line comes near it and never gets there under load.'],
  ['taper', 'A bush drawn into the hub that grips the shaft all round.'],
  ['torque', 'Turning force: a pull times how far out from the middle it acts.'],
  ['wrap', 'How far round its pulley a belt goes. Less wrap, less grip.']
];

/** Every word that is explained. */
export const glossary: readonly Entry[] = [...own, ...trade];

/** Where a word is told on the page of the words. */
export const wordId = (word: string) => `word-${word.replace(/[^a-z0-9]+/gi, '-')}`;

/** How one goes about it, in the order the work is done. */
export const steps: readonly (readonly [what: string, how: string])[] = [
  [
    'Begin with the work',
    'Name the machine and put in its jobs: how fast, against how much. A spring scale on a lever beats any table.'
  ],
  [
    'Put in the motor',
    'As its plate reads, lies and all. Where half of it is gone the bench says which reading comes next.'
  ],
  ['Choose what drives it', 'The control’s bench says what works with this motor, what does not, and why.'],
  ['Fit the reduction', 'Drag pulleys, or let it find the best there is with what lies on the shelf.'],
  [
    'Read the two answers',
    'May it be powered? Does it do the jobs? Under a job that falls short stand changes that were tried, a click each.'
  ],
  [
    'Build, then power up',
    'Parts and wiring are ticked off one by one; the first power-up goes step by step, plug out first.'
  ],
  [
    'Measure, and put it in',
    'Two speeds read together, a pull on a scale: what was measured outranks what was reckoned.'
  ]
];

/** Trade words that mean only that, wherever they stand. The others mean it in a label, and other things in a
 *  sentence: “within reach”, “the line fuse”. */
const sure = new Set(
  (
    'armature,back-EMF,base hertz,brake resistor,breakaway,capacitor,choke,commutator,conductor,current limit,' +
    'diametral pitch,flywheel,form factor,inertia,insulation,inverter,isolator,kerf,no-volt,power factor,' +
    'residual-current device,service factor,set screw,slip,surface speed,wrap'
  ).split(',')
);

const anyOf = (entries: readonly Entry[]) => {
  const longFirst = entries.map(([word]) => word).sort((a, b) => b.length - a.length);
  return new RegExp(`\\b(${longFirst.join('|')})(?=s?\\b)`, 'gi');
};
const inLabels = anyOf(trade.concat(own.filter(([word]) => word === 'margin' || word === 'trim')));
const inSentences = anyOf(trade.filter(([word]) => sure.has(word)));

/** What a word means; nothing for one that is not in the glossary. */
export const meaning = (word: string) => glossary.find(([w]) => w === word.toLowerCase())?.[1] ?? '';

/** The longest special word in a label. */
export function wordIn(label: string): string | undefined {
  const found = [...label.matchAll(inLabels)].map(([word]) => word);
  return found.sort((a, b) => b.length - a.length)[0];
}

/** A piece of a text: plain, or a special word to be explained. */
export interface Piece {
  text: string;
  word?: string;
}

/** Pieces by text and by the words told before it: most of a verdict reads the same after a key. */
const told = new Map<string, { pieces: Piece[]; words: string[] }>();
const mostTold = 400;

function tell(text: string, seen: ReadonlySet<string>) {
  const out: Piece[] = [];
  const words: string[] = [];
  let at = 0;
  for (const match of text.matchAll(inSentences)) {
    const word = match[0].toLowerCase();
    if (seen.has(word) || words.includes(word)) continue;
    words.push(word);
    if (match.index > at) out.push({ text: text.slice(at, match.index) });
    out.push({ text: match[0], word });
    at = match.index + match[0].length;
  }
  if (at < text.length) out.push({ text: text.slice(at) });
  return { pieces: out, words };
}

/** Texts in pieces, each special word marked where it stands first in all of them. */
export function pieces(texts: readonly string[]): Piece[][] {
  const seen = new Set<string>();
  let before = '';
  return texts.map((text) => {
    const key = `${before}|${text}`;
    const found = told.get(key) ?? tell(text, seen);
    if (told.size >= mostTold) told.clear();
    told.set(key, found);
    for (const word of found.words) {
      seen.add(word);
      before += `,${word}`;
    }
    return found.pieces;
  });
}
