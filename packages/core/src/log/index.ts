export * from './entry'
export * from './bundle'
