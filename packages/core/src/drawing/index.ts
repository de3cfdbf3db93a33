export * from './drawing'
