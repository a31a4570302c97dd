export * from './document';
export * from './tape-svg';
export * from './labels';
