export * from './stages'
export * from './steps'
