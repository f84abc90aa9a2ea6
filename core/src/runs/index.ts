export * from './bench';
export * from './fitted';
export * from './plans';
export * from './problems';
export * from './run';
export * from './tried';
export * from './spectrum';
export * from './driven';
