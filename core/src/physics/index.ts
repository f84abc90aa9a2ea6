export * from './shaft';
export * from './train';
export * from './shape';
export * from './induction';
export * from './starting';
export * from './flow';
export * from './pulses';
export * from './money';
