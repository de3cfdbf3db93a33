export { heron } from './heron'
export { plover } from './plover'
export { dunlin } from './dunlin'
export { demoStock } from './stock'
