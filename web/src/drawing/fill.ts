/** What a strip is filled with: a texture turns with it, to the nearest of so many directions. */
export const DIRECTIONS = 24

export interface Fill {
  /** For a strip that runs at this angle, in radians. */
  along: (angle: number) => string
  /** Its plain colour. */
  colour: string
}

/** Which of the directions an angle is; a strip has neither front nor back. */
export const directionOf = (angle: number) => {
  const half = (((angle % Math.PI) + Math.PI) % Math.PI) / Math.PI
  return Math.round(half * DIRECTIONS) % DIRECTIONS
}

/** The angle of a direction, in degrees. */
export const degreesOf = (direction: number) => (direction * 180) / DIRECTIONS

/** A share of white for a round cord in this direction: the light comes from the upper left, and lies across it. */
export const lightOn = (direction: number) => {
  const across = Math.abs(Math.sin(((degreesOf(direction) - 45) * Math.PI) / 180))
  return Math.round(14 * across)
}
