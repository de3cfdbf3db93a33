export * from './action'
export * from './setupResult'
