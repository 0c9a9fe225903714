import type { Texture } from "../../keep/client"
import { EDGE_OPACITY, paintedWith } from "../fill"
import { print, type Printed } from "../print"
import { tileOf, type Surface } from "../Textures"

/** What marks are painted with on a canvas, by what they were printed with. */
export type Fill = (paint: string) => string | CanvasPattern

/** Colours as a canvas takes them: those of the style sheet are looked up once, on something that stands there. */
export function coloursOn(stands: HTMLElement): (said: string) => string {
  const known = new Map<string, string>()
  return (said) => {
    if (!known.has(said)) {
      const before = stands.style.color
      stands.style.color = said
      known.set(said, getComputedStyle(stands).color)
      stands.style.color = before
    }
    return known.get(said)!
  }
}

/** Paints printed marks on a canvas, as they are drawn elsewhere. */
export function paintMarks(
  canvas: CanvasRenderingContext2D,
  printed: Printed[],
  width: number,
  colour: (said: string) => string,
  fill: Fill,
) {
  const half = width / 2
  canvas.lineJoin = "round"
  for (const { mark, paint, path } of printed) {
    const shape = new Path2D(path)
    const painted = mark.paint === "material" ? fill(paint) : colour(paintedWith(paint))
    canvas.globalAlpha = mark.opacity ?? 1
    if (mark.shape === "area") {
      canvas.fillStyle = painted
      canvas.fill(shape)
      if (mark.edge === undefined) continue
      canvas.globalAlpha = EDGE_OPACITY
      canvas.strokeStyle = colour("var(--ink)")
      canvas.lineWidth = half * mark.edge
    } else {
      canvas.strokeStyle = painted
      canvas.lineWidth = half * (mark.width ?? 0)
      canvas.lineCap = mark.path ? "round" : "butt"
    }
    // What has no width would be painted with the width before.
    if (canvas.lineWidth > 0) canvas.stroke(shape)
  }
  canvas.globalAlpha = 1
}

interface Strip {
  surface: Surface
  textures: Texture[]
  colour: string
  width: number
  degrees: number
  /** Its photo, where it has one. */
  photo?: HTMLImageElement
  /** Pixels that one of the drawing’s measure has. */
  scale: number
}

/** A strip of a material laid along the x axis, as a pattern of a canvas. */
export function stripPattern(
  { surface, textures, colour, width, degrees, photo, scale }: Strip,
  said: (colour: string) => string,
): CanvasPattern | string {
  const { texture, size: wide, high } = tileOf(surface, textures, width)
  const tile = document.createElement("canvas")
  tile.width = Math.max(Math.round(wide * scale), 1)
  tile.height = Math.max(Math.round(high * scale), 1)
  const paint = tile.getContext("2d")!
  paint.fillStyle = said(colour)
  paint.fillRect(0, 0, tile.width, tile.height)
  if (photo) {
    // Its middle, as large as it goes.
    const side = Math.min(photo.naturalWidth, photo.naturalHeight)
    const [left, top] = [(photo.naturalWidth - side) / 2, (photo.naturalHeight - side) / 2]
    paint.drawImage(photo, left, top, side, side, 0, 0, tile.width, tile.height)
  }
  if (texture) {
    paint.scale(tile.width / wide, tile.height / high)
    const printed = print(texture.look, high, [{ points: [0, high / 2, wide, high / 2], colour: 0 }], () => colour)
    paintMarks(paint, printed, high, said, said)
  }
  const pattern = paint.createPattern(tile, "repeat")
  const turned = new DOMMatrix().rotate(degrees).translate(0, -width / 2)
  pattern?.setTransform(turned.scale(wide / tile.width, high / tile.height))
  return pattern ?? said(colour)
}
