export * from './walk';
export * from './candidate';
export * from './circuit';
export * from './drive';
export * from './left';
export * from './machines';
export * from './start';
export * from './subject';
