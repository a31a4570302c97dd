export * from './stations';
export * from './own-steps';
export * from './shop-steps';
export * from './step-times';
export * from './context';
export * from './steps';
