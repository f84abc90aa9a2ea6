/** The public words without their schemas: light enough for any page. */
export * from './figures';
export * from './findings';
export * from './methods';
export * from './stations';
export * from './words';
