export * from './holeCard'
export * from './holes'
