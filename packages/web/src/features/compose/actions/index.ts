export * from './place';
export * from './tiles';
export * from './hand';
export * from './groups';
export * from './pictures';
export * from './brush';
export * from './recipes';
export * from './findings';
