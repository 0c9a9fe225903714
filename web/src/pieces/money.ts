const formatOf = (currency: string) =>
  new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay: "narrowSymbol" })

// Made once: to make it takes longer than to use it.
let format = formatOf("USD")

/** In which currency everything is reckoned; said once, when the settings are known. */
export const reckonIn = (code: string) => {
  format = formatOf(code)
}

/** A sum as a maker reads it: "$10.50". What is no sum stays as it is. */
export function money(amount: string | number | undefined): string {
  const number = Number(amount)
  if (amount === undefined || amount === "" || Number.isNaN(number)) return String(amount ?? "")
  return format.format(number)
}

/** A share as a maker reads it: "97 %"; no estimate is certain. */
export function percent(share: number): string {
  if (share > 0.99) return "over 99 %"
  return `${Math.floor(share * 100)} %`
}
