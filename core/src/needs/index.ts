export * from './walk';
export * from './candidate';
export * from './circuit';
export * from './machines';
export * from './subject';
