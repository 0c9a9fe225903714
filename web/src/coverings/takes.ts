import type { Compared } from "../keep/client"
import { money } from "../pieces/money"

/** What a covering comes to. */
export function toPay(compared: Compared): string {
  if (compared.short) return "not enough of it"
  if (compared.enough_on_hand) return "all from the stash"
  return `${money(compared.to_buy)} to pay, ${compared.packages} ${compared.packages === 1 ? "package" : "packages"}`
}
