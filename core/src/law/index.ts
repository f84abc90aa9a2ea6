export * from './law';
export * from './workings';
