export * from './joint'
export * from './verdict'
export { cutSays, type CutLimits } from './leastCut'
