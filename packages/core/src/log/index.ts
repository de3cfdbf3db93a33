export * from './entry'
export * from './quickEntry'
