import { memo } from "react"
import type { WorkingLine } from "../keep/client"
import { Prose } from "./Prose"

/** A sum, set as in a ledger: words, the sum in the maker's numbers, the answer in bold. */
export const Working = memo(function Working({ lines, caption }: { lines: WorkingLine[]; caption?: string }) {
  if (lines.length === 0) return null
  return (
    <table className="ledger w-full text-[0.95rem]">
      {caption && <caption className="pb-1 text-left font-semibold">{caption}</caption>}
      <tbody>
        {lines.map((line) => (
          <tr key={line.key}>
            <td>
              <Prose>{line.says}</Prose>
            </td>
            <td>
              <Prose>{line.sum}</Prose>
            </td>
            <td>
              <Prose>{line.answer}</Prose>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
})
