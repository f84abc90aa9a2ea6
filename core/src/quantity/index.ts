export * from './units';
export * from './read';
export * from './write';
export * from './groups';
export * from './typed';
export * from './interpolate';
export * from './wire';
