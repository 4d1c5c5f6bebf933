/** The words that mean something of their own here, each in a sentence. */
export const glossary: readonly (readonly [word: string, means: string])[] = [
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
  ]
];

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
