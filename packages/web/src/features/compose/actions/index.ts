export * from './place';
export * from './tiles';
export * from './hand';
export * from './groups';
