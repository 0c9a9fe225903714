import { useId } from "react"
import type { Drawing, Material } from "../keep/client"
import { LieItems } from "./lies"
import { Texture, colourOf, textureOf } from "./Textures"

interface Props {
  drawing: Drawing
  materials: Material[]
  side: "front" | "back"
  /** The lie that is pointed at; the others fade. */
  pointed?: number
  /** Drawn small: what lies behind the form is left out. */
  small?: boolean
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
export function Covered({ drawing, materials, side, pointed, small }: Props) {
  const id = useId()
  const lies = drawing.layers.map((lie, place) => {
    // What was said of no material is drawn as something.
    const named = lie.materials.length > 0 ? lie.materials : [undefined]
    const own = named.map((name) => materials.find((material) => material.id === name))
    return {
      lie,
      own,
      fills: own.map(colourOf),
      textures: own.map((material, i) => (textureOf(material) === "plain" ? undefined : `${id}${place}-${i}`)),
    }
  })
  const far = side === "front" ? "back" : "front"
  const layer = (which: "front" | "back", seenThrough: boolean) =>
    lies.map(({ lie, fills, textures }, index) => (
      <g
        key={index}
        className="drawing-layer"
        data-lie={lie.key}
        opacity={pointed === undefined || pointed === index ? 1 : 0.22}
      >
        <LieItems
          lie={lie}
          items={lie[which]}
          fills={fills}
          textures={textures}
          far={seenThrough}
          marked={isMore(drawing.layers, index)}
        />
      </g>
    ))
  return (
    <g transform={side === "back" ? "scale(-1 1)" : undefined}>
      <defs>
        {lies.flatMap(({ lie, own, textures }) =>
          own.map(
            (material, i) =>
              textures[i] && (
                <Texture key={textures[i]} id={textures[i]} texture={textureOf(material)} width={lie.width} />
              ),
          ),
        )}
      </defs>
      {!small && layer(far, true)}
      <FormLines form={drawing.form} coat={lies.findLast(({ lie }) => lie.kind === "wash")?.fills[0]} />
      {layer(side, false)}
    </g>
  )
}

function FormLines({ form, coat }: { form: Drawing["form"]; coat?: string }) {
  const thin = form.base === "wire" ? (form.bands[0]?.rail_width ?? 0) : form.face * 0.04
  return (
    <>
      <g fill="none" stroke="var(--wire)" strokeLinecap="round">
        {form.parts
          .filter((part) => part.kind === "rib")
          .map((part) => (
            <path key={part.line} d={part.line} strokeWidth={thin} />
          ))}
        {form.parts
          .filter((part) => part.kind === "stem")
          .map((part) => (
            <path key={part.line} d={part.line} strokeWidth={part.width} strokeLinecap="butt" />
          ))}
        {form.parts
          .filter((part) => part.kind === "stem")
          .map((part) => (
            <path
              key={`core ${part.line}`}
              d={part.line}
              stroke="var(--core)"
              strokeWidth={(part.width ?? 0) - 2 * thin}
              strokeLinecap="butt"
            />
          ))}
      </g>
      {form.bands.map((band, index) => (
        <BandLines key={index} band={band} coat={coat} />
      ))}
    </>
  )
}

/** The form itself, in the colour of its coat when it has one. */
function BandLines({ band, coat }: { band: Drawing["form"]["bands"][number]; coat?: string }) {
  if (band.base === "wire") {
    return (
      <g fill="none" stroke={coat ?? "var(--wire)"} strokeWidth={band.rail_width} strokeLinecap="round">
        {band.crossbars.map((bar, index) => (
          <path key={index} strokeWidth={band.rail_width * 0.8} d={`M${bar[0]} ${bar[1]} L${bar[2]} ${bar[3]}`} />
        ))}
        {band.rails.map((rail, index) => (
          <path key={index} d={rail} />
        ))}
      </g>
    )
  }
  return (
    <g fill="none" strokeLinejoin={band.pointed ? "miter" : "round"}>
      <path d={band.middle} stroke="var(--wire)" strokeWidth={band.face} />
      <path d={band.middle} stroke={coat ?? "var(--core)"} strokeWidth={band.face * 0.97} />
    </g>
  )
}
