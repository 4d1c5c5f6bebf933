import type { Schemas } from '../api/client';

let handed: { planId: string; motor: Schemas['MotorDescribed'] } | undefined;

/** Hands a motor named on another page to a plan's sheet, which takes it as a change like any other. */
export const handOver = (planId: string, motor: Schemas['MotorDescribed']) => {
  handed = { planId, motor };
};

export const takeOver = (planId: string): Schemas['MotorDescribed'] | undefined => {
  if (handed?.planId !== planId) return undefined;
  const { motor } = handed;
  handed = undefined;
  return motor;
};
