/** Longest side of a picture in the log, and what is small enough to go as it is. */
const SIDE = 1800
const SMALL = 700_000

/** A picture for the log, made small enough for a telephone's connection; what cannot be opened here goes as it is and is judged there. */
export async function shrunk(file: File): Promise<File> {
  if (file.size <= SMALL) return file
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
  if (!picture) return file
  const scale = Math.min(1, SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  const small = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85))
  return small && small.size < file.size ? new File([small], file.name.replace(/\.\w+$/, '.jpg'), { type: 'image/jpeg' }) : file
}
