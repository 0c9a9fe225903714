import { DIRECTIONS } from "./print"

/** The angle of a direction, in degrees. */
export const degreesOf = (direction: number) => (direction * 180) / DIRECTIONS

/** A share of white for a round cord in this direction: the light comes from the upper left, and lies across it. */
export const lightOn = (direction: number) => {
  const across = Math.abs(Math.sin(((degreesOf(direction) - 45) * Math.PI) / 180))
  return Math.round(14 * across)
}

const PAINTS: Record<string, string> = { ink: "var(--ink)", light: "white", accent: "var(--color-primary)" }

/** What a mark is painted with, as a style sheet says it; that of the stuff itself is what it was printed with. */
export const paintedWith = (paint: string) => PAINTS[paint] ?? paint

/** How dark the edge of an area is. */
export const EDGE_OPACITY = 0.7
