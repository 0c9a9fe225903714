import type { Compared, Material } from "../keep/client"
import { Thumbnail } from "../drawing/Thumbnail"
import { Prose } from "../pieces/Prose"
import { duration } from "../pieces/duration"
import { toPay } from "./takes"
import { percent } from "../pieces/money"

const rows: [string, (each: Compared) => string][] = [
  ["Material", (each) => each.materials?.join(", ") ?? ""],
  ["Length", (each) => each.length_says || "none"],
  ["To pay", toPay],
  ["Time", (each) => duration(each.minutes ?? 0)],
  ["How sure", (each) => percent(each.chance_enough ?? 1)],
  ["To mind", (each) => each.warnings?.join(" ") || "nothing"],
]

/** Two coverings beside each other; what differs stands out. */
export function SideBySide({
  pair,
  known,
  onChoose,
}: {
  pair: [Compared, Compared]
  known: Material[]
  onChoose: (each: Compared) => void
}) {
  return (
    <table className="w-full table-fixed">
      <thead>
        <tr>
          <th className="w-24">
            <span className="sr-only">What</span>
          </th>
          {pair.map((each) => (
            <th key={each.method} scope="col" className="p-2 align-bottom font-semibold">
              <div className="mx-auto h-52 w-52">
                <Thumbnail drawing={each.drawing!} materials={known} label={`${each.title} on this form`} />
              </div>
              {each.title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([says, of]) => {
          const differs = of(pair[0]) !== of(pair[1])
          return (
            <tr key={says} className="border-t border-base-300">
              <th scope="row" className="py-1.5 text-left align-top font-normal text-quiet">
                {says}
              </th>
              {pair.map((each) => (
                <td
                  key={each.method}
                  className={`p-1.5 text-center align-top ${differs ? "font-semibold" : "text-quiet"}`}
                >
                  <Prose>{of(each)}</Prose>
                </td>
              ))}
            </tr>
          )
        })}
        <tr>
          <td />
          {pair.map((each) => (
            <td key={each.method} className="p-2 text-center">
              <button type="button" className="btn" onClick={() => onChoose(each)}>
                Take {each.title.toLowerCase()}
              </button>
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  )
}
