import { memo, useId } from "react"
import type { Drawing, Lie, Material } from "../keep/client"
import { FormLines } from "./FormLines"
import { degreesOf, directionOf, lightOn, type Fill } from "./fill"
import { LieItems } from "./lies"
import { colourOf, isPlain, lightened, shaded, SurfacePattern } from "./Textures"

interface Props {
  drawing: Drawing
  materials: Material[]
  side: "front" | "back"
  /** The lie that is pointed at; the others fade. */
  pointed?: number
  /** Drawn small: what lies behind the form is left out. */
  small?: boolean
  /** Ids of layers that are not drawn. */
  hidden?: string[]
}

/** Whether a lie is more of the same material in the same layer, told apart by its colour: fillers among coils. */
export function isMore(lies: Drawing["layers"], index: number): boolean {
  const [lie, before] = [lies[index], lies[index - 1]]
  return (
    lie?.kind === "cord" &&
    before?.kind === "cord" &&
    lie.layer === before.layer &&
    lie.materials[0] === before.materials[0]
  )
}

/** The form with its covering as it lies, seen from one side. */
export const Covered = memo(function Covered({ drawing, materials, side, pointed, small, hidden = [] }: Props) {
  const id = useId()
  const far = side === "front" ? "back" : "front"
  const wash = drawing.layers.findLast(({ kind, layer }) => kind === "wash" && !hidden.includes(layer))
  const shown = drawing.layers.map((lie, index) => ({ lie, index })).filter(({ lie }) => !hidden.includes(lie.layer))
  const layer = (which: "front" | "back", seenThrough: boolean) =>
    shown.map(({ lie, index }) => (
      <g
        key={`${lie.layer} ${lie.key}`}
        className="drawing-layer"
        data-lie={lie.key}
        opacity={pointed === undefined || pointed === index ? 1 : 0.22}
      >
        <Laid
          id={`${id}${which}${index}`}
          lie={lie}
          which={which}
          looks={looksOf(lie, drawing, materials)}
          far={seenThrough}
          marked={isMore(drawing.layers, index)}
        />
      </g>
    ))
  return (
    <g transform={side === "back" ? "scale(-1 1)" : undefined}>
      {!small && layer(far, true)}
      <FormLines
        form={drawing.form}
        coat={wash && colourOf(materials.find((material) => material.id === wash.materials[0]))}
      />
      {layer(side, false)}
    </g>
  )
})

/** What the materials of a lie look like, as a text: while it stays the same, nothing of the lie is drawn anew. */
function looksOf(lie: Lie, drawing: Drawing, materials: Material[]): string {
  // What was said of no material is drawn as something.
  const named = lie.materials.length > 0 ? lie.materials : [""]
  return JSON.stringify(
    named.map((name) => ({
      colour: colourOf(materials.find((material) => material.id === name)),
      surface: drawing.surfaces.find((surface) => surface.material === name),
    })),
  )
}

type Looks = { colour: string; surface?: Drawing["surfaces"][number] }[]

interface LaidProps {
  id: string
  lie: Lie
  which: "front" | "back"
  looks: string
  far: boolean
  marked: boolean
}

/** One lie of one side; drawn again only when it, or what its materials look like, has changed. */
const Laid = memo(function Laid({ id, lie, which, looks, far, marked }: LaidProps) {
  if (lie[which].length === 0) return null
  const said = (JSON.parse(looks) as Looks).map((look) =>
    marked ? { ...look, colour: "var(--color-primary)", surface: undefined } : look,
  )
  const round = lie.kind === "cord"
  const used = new Set<string>()
  const fills = said.map(({ colour, surface }, i): Fill => {
    const lit = (direction: number) => (round ? lightened(colour, lightOn(direction)) : colour)
    const shown = (direction: number) => (far ? shaded(colour) : lit(direction))
    if (isPlain(surface)) return { along: (angle) => shown(directionOf(angle)), colour: shown(0) }
    const along = (angle: number) => {
      used.add(`${i} ${directionOf(angle)}`)
      return `url(#${id}-${i}-${directionOf(angle)})`
    }
    return { along, colour: far ? shaded(colour) : colour }
  })
  const items = LieItems({ lie, items: lie[which], fills, far })
  return (
    <>
      <defs>
        {[...used].map((each) => {
          const [i = 0, direction = 0] = each.split(" ").map(Number)
          const { colour, surface } = said[i]!
          return (
            <SurfacePattern
              key={each}
              id={`${id}-${i}-${direction}`}
              surface={surface!}
              colour={round ? lightened(colour, lightOn(direction)) : colour}
              width={lie.width}
              degrees={degreesOf(direction)}
              shade={far}
            />
          )
        })}
      </defs>
      {items}
    </>
  )
})
