export * from './schema';
export * from './read';
export * from './result';
export * from './migrate';
export * from './carry';
