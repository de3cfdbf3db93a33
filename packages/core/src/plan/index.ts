export * from './planDrawing'
export * from './planResult'
export * from './step'
