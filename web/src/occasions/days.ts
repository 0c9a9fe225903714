/** A day such as 2027-06-21 as it is said: 21 June 2027. */
export const dayText = (day: string, weekday = false) =>
  new Date(`${day}T12:00:00`).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "long",
    year: "numeric",
    ...(weekday ? { weekday: "long" } : {}),
  })

/** Minutes as hours and minutes. */
export function hoursText(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)]
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
