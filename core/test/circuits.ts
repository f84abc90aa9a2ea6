import type { physics } from '@pilgrim/core';

/** 25 hp of a widely used textbook (from memory), with iron and friction of our own. */
export const textbook: physics.Circuit = {
  poles: 4,
  voltage: 460,
  frequency: 60,
  statorResistance: 0.641,
  statorReactance: 1.106,
  rotorResistance: 0.332,
  rotorReactance: 0.464,
  magnetisingReactance: 26.3,
  coreLoss: 400,
  frictionLoss: 300,
  ratedSpeed: 1760,
};
