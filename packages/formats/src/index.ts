export * from './bundle'
export * from './bundleSchema'
export * from './spice'
export * from './templateSvg'
