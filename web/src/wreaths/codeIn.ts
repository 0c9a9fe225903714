/** What is looked at of a photo is no larger than so many pixels across. */
const LONGEST = 2400

/** What the square code in a photo says, where there is one. */
export async function codeIn(photo: Blob): Promise<string | undefined> {
  const picture = await createImageBitmap(photo)
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)]
  const canvas = document.createElement("canvas")
  Object.assign(canvas, { width, height })
  const drawn = canvas.getContext("2d")
  if (!drawn) return undefined
  drawn.drawImage(picture, 0, 0, width, height)
  const { default: read } = await import("jsqr")
  return read(drawn.getImageData(0, 0, width, height).data, width, height)?.data
}
