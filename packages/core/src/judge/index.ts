export * from './joint'
export * from './verdict'
export { cutSays } from './leastCut'
