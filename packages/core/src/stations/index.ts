export { coatsStep } from './finish/steps'
export * from './contribution'
export * from './list'
export * from './things'
