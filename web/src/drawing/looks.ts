import type { Drawing, Lie, Look, Material } from "../keep/client"
import { colourOf } from "./Textures"

/** What each material of a lie looks like. */
export type Looks = { colour: string; surface?: Drawing["surfaces"][number] }[]

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
