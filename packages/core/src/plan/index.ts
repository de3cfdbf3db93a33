export * from './planDrawing'
export * from './planResult'
export * from './reasons'
export * from './step'
