export * from './entry'
export * from './quickEntry'
export * from './bundle'
