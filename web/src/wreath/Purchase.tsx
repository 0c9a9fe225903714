import type { ReactNode } from "react"
import type { WorkedMaterial } from "../keep/client"
import { Prose } from "../pieces/Prose"
import { money, percent } from "../pieces/money"

interface Props {
  material: WorkedMaterial
  /** Its offers as a maker would say them. */
  says: string[]
  /** In the basket already; told where a list is ticked off. */
  ticked?: boolean
  onTick?: (ticked: boolean) => void
  /** What one package of an offer costs, where it can be typed. */
  paid?: (offer: number) => ReactNode
  /** The sum behind it. */
  children?: ReactNode
}

/** One material to buy: the packages, what else there is to choose from, how sure it is, and why. */
export function Purchase({ material, says, ticked = false, onTick, paid, children }: Props) {
  return (
    <div className="border-b border-base-300 py-3">
      <h3 className="flex items-center justify-between text-lg">
        {onTick && material.buy.length > 0 ? (
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="checkbox"
              aria-label={`In the basket: ${material.name}`}
              checked={ticked}
              onChange={(event) => onTick(event.target.checked)}
            />
            <span className={ticked ? "text-quiet line-through" : ""}>{material.name}</span>
          </label>
        ) : (
          <span>{material.name}</span>
        )}
        <span>{money(material.cost_to_buy)}</span>
      </h3>
      {material.buy.length === 0 && material.short === 0 && <p>What you have is enough.</p>}
      <ul>
        {material.buy.map((buy) => (
          <li key={buy.offer} className="flex flex-wrap items-center justify-between gap-x-4">
            <span>
              <b>{buy.count}</b> × <Prose>{says[buy.offer] ?? ""}</Prose>
            </span>
            {paid?.(buy.offer) ?? <span>{money(buy.cost)}</span>}
          </li>
        ))}
      </ul>
      {material.findings
        .filter((finding) => finding.level === "stop")
        .map((finding) => (
          <p key={finding.code} className="font-semibold text-error">
            <Prose>{finding.says}</Prose>
          </p>
        ))}
      {material.stands_in && (
        <p className="text-sm">
          <Prose>{material.stands_in}</Prose>
        </p>
      )}
      {material.reason && (
        <p className="text-sm">
          <Prose>{material.reason}</Prose>
        </p>
      )}
      {(material.alternatives ?? []).length > 0 && (
        <table className="ledger my-1 w-full text-sm">
          <caption className="sr-only">Ways it is sold, the cheapest for its length first</caption>
          <tbody>
            {material.alternatives!.map((each) => (
              <tr key={each.offer}>
                <td>
                  <Prose>{says[each.offer] ?? ""}</Prose>
                </td>
                <td>{each.per}</td>
                <td>{each.count === undefined ? "too short" : `${each.count} alone: ${money(each.cost)}`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {children}
      <p className="pt-1 text-sm text-quiet">{material.short > 0 ? "" : sureSays(material)}</p>
    </div>
  )
}

/** How sure it is that this is enough, and what is left of it. */
function sureSays({ chance_enough, left }: WorkedMaterial): string {
  const chance = `${chance_enough > 0.99 ? "Almost certainly enough" : "Enough"} (${percent(chance_enough)})`
  if (left.length === 0) return `${chance}; no useful remnant is left.`
  return `${chance}; ${left.length} ${left.length === 1 ? "remnant is" : "remnants are"} left.`
}
