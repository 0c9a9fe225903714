import { useId, type ReactNode } from "react"
import { Prose } from "./Prose"
import { Problem } from "./Problem"

/** What a control is given, so that its label, its help and its problem belong to it. */
export interface Labelled {
  id: string
  "aria-describedby"?: string
  "aria-invalid"?: boolean
}

interface Props {
  label: string
  /** A line under the label. */
  help?: ReactNode
  problem?: string
  /** Its place in a document. */
  place?: string
  children: ReactNode | ((control: Labelled) => ReactNode)
}

/**
 * One row of a ruled sheet: what it is on the left, its control on the right, what is wrong with it beneath. A control
 * that has a name of its own, as a group of choices has, is given as it is.
 */
export function Field({ label, help, problem, place, children }: Props) {
  const id = useId()
  const own = typeof children === "function"
  const describes = [help && `${id}-help`, problem && `${id}-problem`].filter(Boolean).join(" ")
  return (
    <div className="row" data-place={place}>
      <div>
        {own ? <label htmlFor={id}>{label}</label> : <span>{label}</span>}
        {help && (
          <p id={`${id}-help`} className="text-sm leading-snug text-quiet">
            {help}
          </p>
        )}
      </div>
      {own
        ? children({ id, "aria-describedby": describes || undefined, "aria-invalid": problem !== undefined })
        : children}
      {problem && (
        <Problem id={`${id}-problem`} small className="col-span-2">
          <Prose>{problem}</Prose>
        </Problem>
      )}
    </div>
  )
}
