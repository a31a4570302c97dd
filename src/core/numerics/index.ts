export * from './roots';
export * from './linear';
export * from './quadrature';
export * from './statistics';
