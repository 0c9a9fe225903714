import type { Drawing, Material } from "../keep/client"

export type Surface = Drawing["surfaces"][number]

/** A material's own colour, or what its kind usually looks like. */
export function colourOf(material: Material | undefined): string {
  return material?.colour ?? `var(--${material?.kind ?? "unknown"}, var(--unknown))`
}

/** A colour as it is seen through the form, or in the shade. */
export const shaded = (colour: string) => `color-mix(in oklab, ${colour} 65%, var(--ink))`

export const pictureAt = (id: string) => `/api/pictures/${id}`

/** A colour with so much of the light on it, in percent. */
export const lightened = (colour: string, light: number) =>
  light === 0 ? colour : `color-mix(in oklab, ${colour} ${100 - light}%, white)`

/** Whether more than a colour is drawn. */
export const isPlain = (surface: Surface | undefined) =>
  surface === undefined || (surface.texture === "plain" && surface.picture === undefined)

interface Props {
  id: string
  surface: Surface
  colour: string
  /** Across the strip: a twist follows its rope. */
  width: number
  /** In which direction the strip runs. */
  degrees?: number
  shade?: boolean
}

/** A strip of a material laid along the x axis, as a pattern: its colour, its texture, a photo of it at its scale. */
export function SurfacePattern({ id, surface, colour, width, degrees = 0, shade = false }: Props) {
  const base = shade ? shaded(colour) : colour
  const turned = degrees === 0 ? undefined : `rotate(${degrees})`
  if (surface.picture) {
    const size = surface.picture_width ?? width
    return (
      <pattern
        id={id}
        width={size}
        height={size}
        y={-width / 2}
        patternUnits="userSpaceOnUse"
        patternTransform={turned}
      >
        <image href={pictureAt(surface.picture)} width={size} height={size} preserveAspectRatio="xMidYMid slice" />
        {shade && <rect width={size} height={size} fill="var(--ink)" fillOpacity={0.35} />}
      </pattern>
    )
  }
  const twist = surface.texture === "twist"
  const size = twist ? width * 0.62 : (surface.repeat ?? width / 3)
  const high = twist ? width : size
  return (
    <pattern
      id={id}
      width={size}
      height={high}
      y={-width / 2}
      patternUnits="userSpaceOnUse"
      patternTransform={turned}
    >
      <rect width={size} height={high} fill={base} />
      {marksOf(surface.texture, size, width)}
    </pattern>
  )
}

/** The marks of a texture in one repeat of it: twist of rope, weave, stripe, check, dot, lace, net. */
function marksOf(texture: string, size: number, width: number): React.ReactNode {
  const half = size / 2
  const ink = { stroke: "var(--ink)", strokeOpacity: 0.42, fill: "none" }
  switch (texture) {
    case "twist":
      return <path d={`M0 ${width} L${size} 0`} {...ink} strokeWidth={width * 0.1} />
    case "herringbone":
      return (
        <path
          d={`M0 ${half} L${half} 0 L${size} ${half} M0 ${size} L${half} ${half} L${size} ${size}`}
          {...ink}
          strokeWidth={size * 0.1}
        />
      )
    case "weave":
      return <path d={`M0 ${half} H${size} M${half} 0 V${size}`} {...ink} strokeWidth={size * 0.2} />
    case "check":
      return (
        <>
          <path d={`M0 0 H${half} V${half} H0 Z`} fill="var(--ink)" fillOpacity="0.3" />
          <path d={`M${half} 0 H${size} V${half} H${half} Z`} fill="var(--ink)" fillOpacity="0.14" />
          <path d={`M0 ${half} H${half} V${size} H0 Z`} fill="var(--ink)" fillOpacity="0.14" />
        </>
      )
    case "stripe":
      return <rect y={size * 0.35} width={size} height={size * 0.3} fill="var(--ink)" fillOpacity="0.42" />
    case "dot":
      return <circle cx={half} cy={half} r={size * 0.18} fill="var(--ink)" fillOpacity="0.4" />
    case "lace":
      return <circle cx={half} cy={half} r={size * 0.33} {...ink} strokeWidth={size * 0.12} />
    case "net":
      return <path d={`M0 0 L${size} ${size} M${size} 0 L0 ${size}`} {...ink} strokeWidth={size * 0.1} />
    default:
      return null
  }
}
