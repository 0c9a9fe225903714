const up = "⁰¹²³⁴⁵⁶⁷⁸⁹"
const down = "₀₁₂₃₄₅₆₇₈₉"
const digits = (text: string, set: string) => [...text].map((digit) => set[Number(digit)]).join("")

/** Fractions in letters that a drawing can carry: 31 1/2 becomes 31 ¹⁄₂. */
export const fractionGlyphs = (text: string) =>
  text.replace(
    /(\d+ )?(\d+)\/(\d+)/g,
    (_, whole: string | undefined, over: string, under: string) =>
      `${whole?.trim() ?? ""}${digits(over, up)}⁄${digits(under, down)}`,
  )
