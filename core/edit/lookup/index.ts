// Finding pieces fast among very many.
export * from './near';
export * from './pick';
export * from './warmIndexes';
