export * from './motor';
export * from './generic';
export * from './faced';
export * from './models';
export * from './circuit';
export * from './columns';
export * from './combinations';
export * from './starters';
