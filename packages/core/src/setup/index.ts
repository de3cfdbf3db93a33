export * from './action'
export * from './setupDrawing'
export * from './setupResult'
