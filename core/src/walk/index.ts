export * from './solve';
export { stampedText } from './doubts';
export * from './screening';
export * from './starting';
export * from './board';
export * from './flowBench';
