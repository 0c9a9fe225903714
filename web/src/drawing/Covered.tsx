import { memo, useId } from "react"
import type { Drawing, Lie, Look, Material, Texture } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { FormLines } from "./FormLines"
import { Marks } from "./Marks"
import { degreesOf } from "./fill"
import { lookOf, looksOf, paintsOf, type Looks } from "./looks"
import { print } from "./print"
import { colourOf, laidOut, pictureAt, SurfacePattern, type Surface } from "./Textures"

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

/** The form with its covering as it lies, seen from one side. */
export const Covered = memo(function Covered({ drawing, materials, side, pointed, small, hidden = [] }: Props) {
  const id = useId()
  const far = side === "front" ? "back" : "front"
  const declarations = useDeclarations().data
  if (!declarations) return null
  const { lies, textures } = declarations
  const coating = drawing.layers.findLast(({ kind, layer }) => lookOf(lies, kind).coat && !hidden.includes(layer))
  const shown = named(drawing.layers).filter(({ lie }) => !hidden.includes(lie.layer))
  const layer = (which: "front" | "back", seenThrough: boolean) =>
    shown.map(({ lie, index, name }) => (
      <g
        key={name}
        className="transition-opacity duration-150"
        data-lie={lie.key}
        data-layer={lie.layer}
        opacity={pointed === undefined || pointed === index ? 1 : 0.22}
      >
        <Laid
          id={`${id}${which}${index}`}
          lie={lie}
          which={which}
          look={lookOf(lies, lie.kind)}
          textures={textures}
          looks={JSON.stringify(looksOf(lie, drawing, materials))}
          far={seenThrough}
        />
      </g>
    ))
  return (
    // Which piece is pointed at is worked from where the pieces lie.
    <g transform={side === "back" ? "scale(-1 1)" : undefined} pointerEvents="none">
      {!small && layer(far, true)}
      <FormLines
        form={drawing.form}
        coat={coating && colourOf(materials.find((material) => material.id === coating.materials[0]))}
      />
      {layer(side, false)}
    </g>
  )
})

/** Each with its place, and a name of its own that stays while others come and go; a lie may be there in parts. */
function named(lies: Lie[]) {
  const before = new Map<string, number>()
  return lies.map((lie, index) => {
    const name = `${lie.layer} ${lie.key}`
    const number = before.get(name) ?? 0
    before.set(name, number + 1)
    return { lie, index, name: `${name} ${number}` }
  })
}

interface LaidProps {
  id: string
  lie: Lie
  which: "front" | "back"
  look: Look
  textures: Texture[]
  /** As a text: while it stays the same, nothing of the lie is drawn anew. */
  looks: string
  far: boolean
}

/** One lie of one side; drawn again only when it, or what its materials look like, has changed. */
const Laid = memo(function Laid({ id, lie, which, look, textures, looks, far }: LaidProps) {
  if (lie[which].length === 0) return null
  const used = new Map<string, { colour: string; surface: Surface; direction: number }>()
  const paint = paintsOf(JSON.parse(looks) as Looks, look, far, (surface, colour, item, direction) => {
    const name = `${id}-${item}-${direction}`
    used.set(name, { colour, surface, direction })
    return `url(#${name})`
  })
  const printed = print(look, lie.width, lie[which], paint, far)
  return (
    <>
      {used.size > 0 && (
        <defs>
          {[...used].map(([name, { colour, surface, direction }]) => (
            <SurfacePattern
              key={name}
              id={name}
              surface={surface}
              textures={textures}
              colour={colour}
              width={lie.width}
              degrees={degreesOf(direction)}
            />
          ))}
        </defs>
      )}
      <Marks printed={printed} width={lie.width} />
      {which === "front" && !far && lie.pictured && <Pictured pictured={lie.pictured} />}
      {which === "front" && !far && lie.written && <Written written={lie.written} />}
    </>
  )
})

/** Pieces as their photos show them, each in its place. */
function Pictured({ pictured }: { pictured: NonNullable<Lie["pictured"]> }) {
  return pictured.map(({ picture, placed }, i) => (
    <image
      key={i}
      href={pictureAt(picture)}
      width={1}
      height={1}
      preserveAspectRatio="none"
      transform={`matrix(${laidOut(placed).join(" ")})`}
    />
  ))
}

/** What is written on pieces, with a halo, so that it is read on any colour. */
function Written({ written }: { written: NonNullable<Lie["written"]> }) {
  return written.map(({ words, at, size }, i) => (
    <text
      key={i}
      x={at[0]}
      y={at[1]}
      fontSize={size}
      textAnchor="middle"
      fill="var(--ink)"
      stroke="white"
      strokeOpacity={0.75}
      strokeWidth={size * 0.12}
      paintOrder="stroke"
    >
      {words}
    </text>
  ))
}
