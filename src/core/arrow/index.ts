export * from './spine';
