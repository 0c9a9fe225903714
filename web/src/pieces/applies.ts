import type { Field } from "../keep/client"

/**
 * Whether a field means anything beside what else is said; one that was said is shown in any case.
 * @param fields all there are beside it
 * @param said what is said of them
 */
export function applies(field: Field, fields: Field[], said: Record<string, unknown>): boolean {
  if (!field.where || said[field.name] !== undefined) return true
  return Object.entries(field.where).every(([name, values]) => {
    const value = said[name] ?? fields.find((each) => each.name === name)?.default
    return values.includes(String(value))
  })
}
