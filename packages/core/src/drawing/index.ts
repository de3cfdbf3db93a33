export * from './drawing'
export * from './turnedOver'
