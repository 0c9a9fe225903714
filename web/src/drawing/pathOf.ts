/** Path data through x, y, x, y and so on. */
export const pathOf = (points: number[]) =>
  points.reduce((path, number, i) => path + (i % 2 ? " " : i === 0 ? "M" : "L") + number, "")
