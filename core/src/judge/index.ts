export * from './asked';
export * from './judge';
export * from './explain';
