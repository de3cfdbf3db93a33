export * from './understood'
