export * from './ripple';
export * from './preview';
