export * from './motor';
export * from './generic';
export * from './columns';
export * from './starters';
