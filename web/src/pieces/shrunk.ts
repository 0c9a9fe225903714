/** As many pixels as the server keeps of a photo. */
const MOST = 2000

/** A photo as a JPEG file, no larger than a screen needs; nothing where it is no picture. */
export async function shrunk(file: File): Promise<Blob | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const scale = Math.min(1, MOST / Math.max(picture.width, picture.height))
  const canvas = document.createElement("canvas")
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return new Promise((done) => canvas.toBlob((photo) => done(photo ?? undefined), "image/jpeg", 0.85))
}
