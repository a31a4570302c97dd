export * from './document';
export * from './sheet-document';
export * from './tape-svg';
export * from './labels';
