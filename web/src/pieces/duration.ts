/** Minutes as a maker reads them: "1 h 5 min". */
export function duration(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60]
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
