export * from './vocabulary';
export * from './source';
export * from './schemas';
export * from './relays';
