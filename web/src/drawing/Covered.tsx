import { memo, useId } from "react"
import type { Drawing, Lie, Material } from "../keep/client"
import { FormLines } from "./FormLines"
import { LieItems, type Fill } from "./lies"
import { colourOf, isPlain, shaded, SurfacePattern } from "./Textures"

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
export function Covered({ drawing, materials, side, pointed, small, hidden = [] }: Props) {
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
}

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
  const lights = [-1, 0, 1] as const
  const fills = said.map(({ colour, surface }, i): Fill => {
    const plain = far ? shaded(colour) : colour
    return isPlain(surface)
      ? { lit: () => plain, colour: plain }
      : { lit: (light) => `url(#${id}-${i}-${lie.kind === "cord" ? light : 0})`, colour: plain }
  })
  return (
    <>
      <defs>
        {said.flatMap(({ colour, surface }, i) =>
          isPlain(surface)
            ? []
            : lights
                .filter((light) => lie.kind === "cord" || light === 0)
                .map((light) => (
                  <SurfacePattern
                    key={`${i} ${light}`}
                    id={`${id}-${i}-${light}`}
                    surface={surface!}
                    colour={colour}
                    width={lie.width}
                    light={far ? 0 : light}
                    shade={far}
                  />
                )),
        )}
      </defs>
      <LieItems lie={lie} items={lie[which]} fills={fills} far={far} />
    </>
  )
})
