/** What can happen to a material, as it is said. */
export const happenings: Record<string, string> = {
  bought: "bought",
  cut: "cut",
  remnant: "left over",
  returned: "returned",
  corrected: "corrected",
  thrown_away: "thrown away",
  splice: "has a join",
  undone: "taken back",
}
