export * from './bench'
export * from './holeCard'
export * from './holes'
