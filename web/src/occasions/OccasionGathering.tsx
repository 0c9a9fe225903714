import { Link } from "react-router"
import { useWreaths } from "../keep/queries"

/** Which wreaths hang on the day. */
export function Gathering({
  chosen,
  onGather,
}: {
  chosen: number[]
  onGather: (id: number, hangs: boolean) => void
}) {
  const wreaths = useWreaths().data ?? []
  return (
    <section aria-label="Wreaths">
      <p className="pb-2 text-quiet">Those ticked hang on this day.</p>
      <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {wreaths.map((wreath) => (
          <li key={wreath.id} className="flex min-h-11 items-center gap-3 border-b border-base-300">
            <input
              id={`hangs-${wreath.id}`}
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={chosen.includes(wreath.id)}
              onChange={(event) => onGather(wreath.id, event.target.checked)}
            />
            <label htmlFor={`hangs-${wreath.id}`} className="flex-1">
              {wreath.name}
              {(wreath.plan.quantity ?? 1) > 1 && ` × ${wreath.plan.quantity}`}
            </label>
            <Link className="text-sm underline" to={`/wreaths/${wreath.id}/cover`} aria-label={`Open ${wreath.name}`}>
              Open
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
