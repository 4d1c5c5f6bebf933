/** The field a wheel's size is typed in. */
export const wheelPath = (stage: number, step: number, end: 'driver' | 'driven') =>
  `reduction.stages[${stage}].steps[${step}].${end}`;
