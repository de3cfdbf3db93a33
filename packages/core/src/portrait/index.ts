export { HOLD_WORDS, partDrawing, partPicture, sizeDrawing } from './partDrawing'
export type { Hold } from './sketch'
