export * from './joint'
export * from './verdict'
