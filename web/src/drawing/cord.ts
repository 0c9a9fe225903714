/** Corners to a rounded end. */
const ROUND = 4

const thousandths = (number: number) => Math.round(number * 1000) / 1000

/** A length of cord from one place to another, its ends rounded, as corners round it. */
export function cord(x1: number, y1: number, x2: number, y2: number, width: number): string {
  const angle = Math.atan2(y2 - y1, x2 - x1)
  // A coil goes on a little round either edge.
  const over = width * 0.4 - width / 2
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)]
  const end = (x: number, y: number, from: number) =>
    Array.from({ length: ROUND + 1 }, (_, i) => {
      const turn = from + (Math.PI * i) / ROUND
      return `${thousandths(x + (Math.cos(turn) * width) / 2)},${thousandths(y + (Math.sin(turn) * width) / 2)}`
    })
  return [
    ...end(x2 + ux * over, y2 + uy * over, angle - Math.PI / 2),
    ...end(x1 - ux * over, y1 - uy * over, angle + Math.PI / 2),
  ].join(" ")
}
