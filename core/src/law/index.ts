export * from './source';
export * from './ids';
export * from './law';
export * from './workings';
