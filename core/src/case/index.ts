export * from './schema';
export * from './read';
export * from './result';
export * from './migrate';
export * from './carry';
export * from './changes';
export * from './errand';
export * from './questions';
