export * from './limits'
export * from './plain'
export * from './text'
