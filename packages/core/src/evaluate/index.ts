export * from './evaluate'
export * from './evaluator'
export * from './measurer'
export * from './patch'
