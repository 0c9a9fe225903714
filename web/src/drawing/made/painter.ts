import type { Declarations, Drawing, Lie, Material, Step } from "../../keep/client"
import { degreesOf } from "../fill"
import { lookOf, looksOf, paintsOf } from "../looks"
import { print } from "../print"
import { colourOf, laidOut, pictureAt, type Surface } from "../Textures"
import { LATEST, laidAt, LIT, NEXT, type Moment } from "./moments"
import { coloursOn, paintMarks, stripPattern, type Fill } from "./paint"

/** Something that is painted on a layer of its own: a lie seen from one side, or the form beneath. */
type Part = { lie: Lie; far: boolean; whole: boolean } | "form"

interface Wreath {
  drawing: Drawing
  steps: Step[]
  materials: Material[]
  declarations: Declarations
}

const nameOf = (part: Part, coat?: string) =>
  part === "form" ? `form ${coat}` : `${part.lie.layer} ${part.lie.key} ${part.far}`

function cleared(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = canvas.getContext("2d")!
  context.resetTransform()
  context.clearRect(0, 0, canvas.width, canvas.height)
  return context
}

/** All round some pieces, and so much more. */
function boxOf(pieces: Lie["front"], more: number): [number, number, number, number] {
  const [xs, ys] = [0, 1].map((from) => pieces.flatMap(({ points }) => points.filter((_, i) => i % 2 === from)))
  const [x, y] = [Math.min(...xs!) - more, Math.min(...ys!) - more]
  return [x, y, Math.max(...xs!) + more - x, Math.max(...ys!) + more - y]
}

const isLit = ({ materials }: Lie) => materials[0] === LATEST || materials[0] === NEXT

/**
 * Paints a wreath that grows on a canvas, as fast as a slider is moved: what is finished lies on a few pictures that
 * are kept, and of what is being laid only what is new is painted.
 */
export class Painter {
  private readonly grown = new Map<string, { count: number; picture: HTMLCanvasElement }>()
  private readonly kept = new Map<string, HTMLCanvasElement>()
  private readonly fills = new Map<string, string | CanvasPattern>()
  private readonly photos = new Map<string, HTMLImageElement | undefined>()
  private readonly colour: (said: string) => string
  private readonly placed: DOMMatrix
  private readonly scale: number
  private lit: [number, number, number, number][] = []
  private shown = ""
  private painted?: { key: string; counts: number[] }

  /**
   * @param canvas of the size that it is painted in
   * @param above as large, over it: what was laid last and what comes next are lit there
   * @param onPhoto called when the photo of a material has come, and all of it is painted anew
   */
  constructor(
    private readonly wreath: Wreath,
    private readonly canvas: HTMLCanvasElement,
    private readonly above: HTMLCanvasElement,
    private readonly onPhoto: () => void,
  ) {
    this.colour = coloursOn(canvas)
    const [left = 0, top = 0, right = 1, bottom = 1] = wreath.drawing.bounds
    const pad = (right - left) * 0.05
    const [wide, high] = [right - left + 2 * pad, bottom - top + 2 * pad]
    this.scale = Math.min(canvas.width / wide, canvas.height / high)
    const aside = (canvas.width - wide * this.scale) / 2
    const down = (canvas.height - high * this.scale) / 2
    this.placed = new DOMMatrix()
      .translate(aside, down)
      .scale(this.scale)
      .translate(pad - left, pad - top)
  }

  paint(moment: Moment) {
    const said = JSON.stringify([moment.current, Object.values(moment.counts)])
    if (said === this.shown) return
    this.shown = said
    const { drawing, steps, declarations } = this.wreath
    const there = drawing.layers.flatMap((lie) =>
      laidAt(lie, steps, moment).map((part) => ({ lie: part, whole: part === lie })),
    )
    const lies = there.filter(({ lie }) => !isLit(lie))
    const coat = lies.findLast(({ lie }) => lookOf(declarations.lies, lie.kind).coat)
    const coated = coat && colourOf(this.wreath.materials.find(({ id }) => id === coat.lie.materials[0]))
    const parts: Part[] = [
      ...lies.filter(({ lie }) => lie.back.length > 0).map((each) => ({ ...each, far: true })),
      "form",
      ...lies.filter(({ lie }) => lie.front.length > 0).map((each) => ({ ...each, far: false })),
    ]
    const fronts = parts.filter((part) => part !== "form" && !part.far && !part.whole)
    if (fronts.length === 0 || (fronts.length === 1 && parts.at(-1) === fronts[0])) this.grow(parts, coated)
    else this.inLayers(parts, coated)
    this.light(there.map(({ lie }) => lie).filter(isLit))
  }

  private light(lies: Lie[]) {
    this.on(this.above.getContext("2d")!, (context) => {
      for (const [x, y, wide, high] of this.lit) context.clearRect(x, y, wide, high)
      this.lit = lies.map(({ front, width }) => boxOf(front, width * 2))
      for (const lie of lies) this.lie(context, lie, false, 0, true)
    })
  }

  /** What is laid lies on all that is there: what is new is painted on it, and what is seen through it beneath. */
  private grow(parts: Part[], coat?: string) {
    const growing = parts.filter((part) => part !== "form" && !part.whole) as Exclude<Part, "form">[]
    const finished = parts.filter((part) => part === "form" || part.whole)
    const key = [nameOf("form", coat), ...parts.map((part) => nameOf(part))].join("|") + finished.length
    const counts = growing.map(({ lie, far }) => (far ? lie.back : lie.front).length)
    const before = this.painted
    const on = before?.key === key && before.counts.every((count, i) => count <= counts[i]!) ? before : undefined
    const context = on ? this.canvas.getContext("2d")! : cleared(this.canvas)
    if (!on) context.drawImage(this.together(finished, coat), 0, 0)
    for (const [i, { lie, far }] of growing.entries()) {
      const count = on?.counts[i] ?? 0
      if (count === counts[i]) continue
      context.globalCompositeOperation = far ? "destination-over" : "source-over"
      this.on(context, () => this.lie(context, lie, far, count, false))
    }
    context.globalCompositeOperation = "source-over"
    this.painted = { key, counts }
  }

  /** What is laid lies beneath what is there, or is of several kinds: each on a picture of its own. */
  private inLayers(parts: Part[], coat?: string) {
    this.painted = undefined
    const context = cleared(this.canvas)
    let together: Part[] = []
    const lay = () => {
      if (together.length > 0) context.drawImage(this.together(together, coat), 0, 0)
      together = []
    }
    for (const part of parts) {
      if (part === "form" || part.whole) {
        together.push(part)
        continue
      }
      lay()
      context.drawImage(this.growing(part.lie, part.far), 0, 0)
    }
    lay()
  }

  /** What is finished and lies on one another, on one picture; the pictures of the moment before are kept. */
  private together(parts: Part[], coat?: string): HTMLCanvasElement {
    const key = parts.map((part) => nameOf(part, coat)).join("|")
    const kept = this.kept.get(key)
    if (kept) return kept
    const picture = this.blank()
    this.on(picture.getContext("2d")!, (context) => {
      for (const part of parts) {
        if (part === "form") this.form(context, coat)
        else this.lie(context, part.lie, part.far, 0, true)
      }
    })
    if (this.kept.size > 3) this.kept.delete(this.kept.keys().next().value!)
    this.kept.set(key, picture)
    return picture
  }

  /** A lie as far as it is there, on what was there of it before. */
  private growing(lie: Lie, far: boolean): HTMLCanvasElement {
    const name = `${lie.layer} ${lie.key} ${far}`
    const side = far ? lie.back : lie.front
    let grown = this.grown.get(name)
    if (!grown || grown.count > side.length) {
      grown = { count: 0, picture: grown?.picture ?? this.blank() }
      cleared(grown.picture)
    }
    const { count, picture } = grown
    if (count < side.length) {
      this.on(picture.getContext("2d")!, (context) => this.lie(context, lie, far, count, false))
    }
    // One that is laid later needs no picture yet, one that is finished none any more.
    if (this.grown.size > 7) this.grown.clear()
    this.grown.set(name, { count: side.length, picture })
    return picture
  }

  private blank() {
    return Object.assign(document.createElement("canvas"), { width: this.canvas.width, height: this.canvas.height })
  }

  private on(context: CanvasRenderingContext2D, paint: (context: CanvasRenderingContext2D) => void) {
    context.setTransform(this.placed)
    paint(context)
    context.resetTransform()
  }

  private form(context: CanvasRenderingContext2D, coat?: string) {
    for (const mark of this.wreath.drawing.form.marks) {
      context.strokeStyle = this.colour((mark.coated && coat) || `var(--${mark.paint})`)
      context.lineWidth = mark.width
      context.lineCap = mark.cap as CanvasLineCap
      context.lineJoin = mark.join as CanvasLineJoin
      context.stroke(new Path2D(mark.path))
    }
  }

  private lie(context: CanvasRenderingContext2D, lie: Lie, far: boolean, from: number, whole: boolean) {
    const look = lookOf(this.wreath.declarations.lies, lie.kind)
    const items = (far ? lie.back : lie.front).slice(from)
    const looks = looksOf(lie, this.wreath.drawing, [...LIT, ...this.wreath.materials])
    const paint = paintsOf(looks, look, far, (surface, colour, item, direction) => {
      const name = `${lie.layer} ${lie.key} ${item} ${direction}`
      if (!this.fills.has(name)) this.fills.set(name, this.strip(surface, colour, lie.width, degreesOf(direction)))
      return name
    })
    const fill: Fill = (name) => this.fills.get(name) ?? this.colour(name)
    paintMarks(context, print(look, lie.width, items, paint, far, from), lie.width, this.colour, fill)
    if (far) return
    this.pictured(context, whole ? lie.pictured : lie.pictured?.slice(from))
    this.written(context, whole ? lie.written : lie.written?.slice(from))
  }

  private strip(surface: Surface, colour: string, width: number, degrees: number) {
    const photo = surface.picture ? this.photo(surface.picture) : undefined
    const { textures } = this.wreath.declarations
    return stripPattern({ surface, textures, colour, width, degrees, photo, scale: this.scale }, this.colour)
  }

  /** A photo that is there; one that is not is sent for. */
  private photo(id: string): HTMLImageElement | undefined {
    if (!this.photos.has(id)) {
      this.photos.set(id, undefined)
      const image = new Image()
      image.onload = () => {
        this.photos.set(id, image)
        for (const known of [this.fills, this.grown, this.kept]) known.clear()
        this.painted = undefined
        this.shown = ""
        this.onPhoto()
      }
      image.src = pictureAt(id)
    }
    return this.photos.get(id)
  }

  private pictured(context: CanvasRenderingContext2D, pictured: Lie["pictured"]) {
    for (const { picture, placed } of pictured ?? []) {
      const photo = this.photo(picture)
      if (!photo) continue
      context.save()
      context.transform(...laidOut(placed))
      context.drawImage(photo, 0, 0, 1, 1)
      context.restore()
    }
  }

  private written(context: CanvasRenderingContext2D, written: Lie["written"]) {
    context.textAlign = "center"
    context.lineJoin = "miter"
    for (const { words, at, size } of written ?? []) {
      context.font = `${size}px ${getComputedStyle(this.canvas).fontFamily}`
      context.strokeStyle = "rgb(255 255 255 / 75%)"
      context.lineWidth = size * 0.12
      context.strokeText(words, at[0]!, at[1]!)
      context.fillStyle = this.colour("var(--ink)")
      context.fillText(words, at[0]!, at[1]!)
    }
  }
}
