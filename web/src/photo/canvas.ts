import type { Left, Pixels } from "./cutting"

/** Pixels of the longer side of a photo while something is cut out of it. */
const LONGEST = 800
/** From so many places about it an edge is softened. */
const ROUND = 12

export function blank(width: number, height: number): [HTMLCanvasElement, CanvasRenderingContext2D] {
  const canvas = Object.assign(document.createElement("canvas"), { width, height })
  return [canvas, canvas.getContext("2d", { willReadFrequently: true })!]
}

/** A photo as large as it is cut; nothing where it is no picture. */
export async function opened(file: File): Promise<HTMLCanvasElement | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const [canvas, context] = blank(Math.round(picture.width * scale), Math.round(picture.height * scale))
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas
}

export const pixelsOf = (photo: HTMLCanvasElement): Pixels =>
  photo.getContext("2d")!.getImageData(0, 0, photo.width, photo.height)

/** A photo without what is taken off. @param soft over how many pixels its edge goes over into nothing */
export function paintLeft(canvas: HTMLCanvasElement, photo: HTMLCanvasElement, off: Uint8Array, soft: number) {
  const { width, height } = photo
  const [mask, masked] = blank(width, height)
  const pixels = masked.createImageData(width, height)
  off.forEach((taken, i) => (pixels.data[i * 4 + 3] = taken * 255))
  masked.putImageData(pixels, 0, 0)
  Object.assign(canvas, { width, height })
  const context = canvas.getContext("2d")!
  context.drawImage(photo, 0, 0)
  context.globalCompositeOperation = "destination-out"
  context.drawImage(mask, 0, 0)
  if (soft === 0) return
  // What goes is smeared inwards, a share of it from each place about: the nearer the edge, the more of them meet.
  context.globalAlpha = 2 / ROUND
  for (let i = 0; i < ROUND; i++) {
    const way = (2 * Math.PI * i) / ROUND
    context.drawImage(mask, Math.cos(way) * soft, Math.sin(way) * soft)
  }
}

/** The part of a canvas that is left, as a PNG file. */
export function fileOf(canvas: HTMLCanvasElement, { x, y, width, height }: Left): Promise<Blob> {
  const [part, context] = blank(width, height)
  context.drawImage(canvas, -x, -y)
  return new Promise((done) => part.toBlob((file) => done(file!), "image/png"))
}
