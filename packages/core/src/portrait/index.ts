export { partDrawing, partPicture, sizeDrawing } from './partDrawing'
