import { CLEARS } from './products/clears'
import { COLOURS } from './products/colours'
import { GROUNDWORK } from './products/groundwork'
import { RUBBED } from './products/rubbed'

export { MEDIA, type Family, type LayerName, type Medium, type Product } from './products/product'
export { RAGS, SHEET } from './products/usual'

/** What this tool starts with; a person adds to it and writes the label's figures over it. */
export const PRODUCTS = { ...GROUNDWORK, ...COLOURS, ...CLEARS, ...RUBBED } as const
export type ProductId = keyof typeof PRODUCTS
export const PRODUCT_IDS = Object.keys(PRODUCTS) as ProductId[]

/** Shown so that nobody finds it elsewhere and thinks it was forgotten; not to be chosen. */
export const NOT_AT_HOME = {
  label: 'Two-component clear',
  why: 'Its hardener holds isocyanates: supplied-air protection and training are needed, and no filter mask is enough. Not for a home bench; a spray shop does it.',
} as const
