export * from './build'
export * from './read'
export * from './change'
export * from './changes'
