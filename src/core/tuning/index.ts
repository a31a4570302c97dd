export * from './adjustments';
export * from './response';
export * from './paper-tune';
export * from './causes';
export * from './answered';
export * from './bare-shaft';
export * from './walk-back';
export * from './simulated-bow';
