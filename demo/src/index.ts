export { heron } from './heron'
