export * from './law';
export * from './workings';
export * from './range';
export * from './limits';
