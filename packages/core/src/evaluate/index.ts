export * from './evaluate'
export * from './evaluator'
export * from './patch'
