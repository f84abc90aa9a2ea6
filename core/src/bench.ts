/** What the bench page runs sixty times a second, without the rest of core. */
export * from './physics/energy/benchExample';
export * from './physics/energy/flowBench';
