import 'reflect-metadata'
export * from './decorators'
export * from './build'
export * from './requests'
