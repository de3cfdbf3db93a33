export { HOLD_WORDS, partDrawing, sizeDrawing } from './partDrawing'
export type { Hold } from './sketch'
