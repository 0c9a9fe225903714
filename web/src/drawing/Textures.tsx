import type { Drawing, Material, Texture } from "../keep/client"
import { Marks } from "./Marks"
import { print } from "./print"

export type Surface = Drawing["surfaces"][number]

/** A material's own colour, or what its kind usually looks like. */
export function colourOf(material: Material | undefined): string {
  return material?.colour ?? `var(--${material?.kind ?? "unknown"}, var(--unknown))`
}

/** A colour as it is seen through the form, or in the shade. */
export const shaded = (colour: string) => `color-mix(in oklab, ${colour} 65%, var(--ink))`

/** A picture of one by one by its upper left, upper right and lower left corners, as the six numbers of a matrix. */
export function laidOut(placed: number[]): [number, number, number, number, number, number] {
  const [x, y, right, across, down, below] = placed as [number, number, number, number, number, number]
  return [right - x, across - y, down - x, below - y, x, y]
}

export const pictureAt = (id: string) => `/api/pictures/${id}`

/** A colour with so much of the light on it, in percent. */
export const lightened = (colour: string, light: number) =>
  light === 0 ? colour : `color-mix(in oklab, ${colour} ${100 - light}%, white)`

/** Whether more than a colour is drawn. */
export const isPlain = (surface: Surface | undefined) =>
  surface === undefined || (surface.texture === "plain" && surface.picture === undefined)

/** What repeats along a strip of a width, how long it is and how high; a photo has no texture besides. */
export function tileOf(surface: Surface, textures: Texture[], width: number) {
  const texture = surface.picture ? undefined : textures.find(({ key }) => key === surface.texture)
  if (texture?.of_width !== undefined) return { texture, size: width * texture.of_width, high: width }
  const size = surface.picture ? (surface.picture_width ?? width) : (surface.repeat ?? width / 3)
  return { texture, size, high: size }
}

interface Props {
  id: string
  surface: Surface
  textures: Texture[]
  colour: string
  /** Across the strip: a twist follows its rope. */
  width: number
  /** In which direction the strip runs. */
  degrees?: number
}

/** A strip of a material laid along the x axis, as a pattern: its colour, its texture, a photo of it at its scale. */
export function SurfacePattern({ id, surface, textures, colour, width, degrees = 0 }: Props) {
  const { picture } = surface
  const { texture, size, high } = tileOf(surface, textures, width)
  return (
    <pattern
      id={id}
      width={size}
      height={high}
      y={-width / 2}
      patternUnits="userSpaceOnUse"
      patternTransform={degrees === 0 ? undefined : `rotate(${degrees})`}
    >
      {picture ? (
        <image href={pictureAt(picture)} width={size} height={size} preserveAspectRatio="xMidYMid slice" />
      ) : (
        <rect width={size} height={high} fill={colour} />
      )}
      {texture && (
        <Marks
          width={high}
          printed={print(texture.look, high, [{ points: [0, high / 2, size, high / 2], colour: 0 }], () => colour)}
        />
      )}
    </pattern>
  )
}
