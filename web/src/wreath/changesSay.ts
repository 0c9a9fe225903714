import type { TapeFigure } from "../keep/client"

/** Which figures of a tape are others than before, in a sentence; nothing when none is. */
export function changesSay(before: TapeFigure[], after: TapeFigure[]): string {
  const was = new Map(before.map(({ id, figure, says }) => [id, `${figure} ${says}`]))
  const changed = after.map((each) => ({ ...each, now: `${each.figure} ${each.says}` }))
  const said = changed.filter(({ id, now }) => was.get(id) !== now).map(({ now }) => now)
  return said.length > 0 && before.length > 0 ? `Now ${said.join("; ")}.` : ""
}
