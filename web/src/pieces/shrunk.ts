/** As many pixels as the server keeps of a photo. */
const MOST = 2000

/** A photo as a data address, no larger than a screen needs. */
export async function shrunk(file: File | undefined): Promise<string | undefined> {
  if (!file) return undefined
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const scale = Math.min(1, MOST / Math.max(picture.width, picture.height))
  const canvas = document.createElement("canvas")
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL("image/jpeg", 0.85)
}
