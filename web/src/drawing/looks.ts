import type { Drawing, Lie, Look, Material } from "../keep/client"
import { lightOn } from "./fill"
import { colourOf, isPlain, lightened, shaded, type Surface } from "./Textures"

/** What each material of a lie looks like. */
export type Looks = { colour: string; surface?: Surface }[]

/** A kind that does not say how it looks is a fault, not an empty drawing. */
export function lookOf(lies: Record<string, Look>, kind: string): Look {
  const look = lies[kind]
  if (!look) throw new Error(`Nobody said how the kind of lie “${kind}” looks.`)
  return look
}

export function looksOf(lie: Lie, drawing: Drawing, materials: Material[]): Looks {
  if (lie.more) return [{ colour: "var(--color-primary)" }]
  // What was said of no material is drawn as something.
  const named = lie.materials.length > 0 ? lie.materials : [""]
  return named.map((name) => ({
    colour: colourOf(materials.find((material) => material.id === name)),
    surface: drawing.surfaces.find((surface) => surface.material === name),
  }))
}

/**
 * What a piece of a colour is painted with that runs in a direction.
 *
 * @param far whether it is seen through the form
 * @param patterned what a surface is painted with that is more than a colour
 */
export const paintsOf =
  (
    looks: Looks,
    look: Look,
    far: boolean,
    patterned: (surface: Surface, colour: string, item: number, direction: number) => string,
  ) =>
  (item: number, direction: number): string => {
    const { colour, surface } = looks[item] ?? looks[0]!
    // Through the form no more is seen than a colour.
    if (far) return shaded(colour)
    const lit = look.round ? lightened(colour, lightOn(direction)) : colour
    return surface === undefined || isPlain(surface) ? lit : patterned(surface, lit, item, direction)
  }
