export * from './roots';
export * from './linear';
export * from './quadrature';
export * from './statistics';
export * from './paired';
export * from './random';
export * from './near';
export * from './apart';
