import type { Drawing } from "../keep/client"

/** The form itself, in the colour of its coat when it has one; drawn small, its wires are to be seen. */
export function FormLines({
  form,
  coat,
  atLeast = 0,
}: {
  form: Pick<Drawing["form"], "marks">
  coat?: string
  atLeast?: number
}) {
  return (
    <g fill="none">
      {form.marks.map((mark, index) => (
        <path
          key={index}
          d={mark.path}
          stroke={(mark.coated && coat) || `var(--${mark.paint})`}
          strokeWidth={Math.max(mark.width, atLeast)}
          strokeLinecap={mark.cap}
          strokeLinejoin={mark.join}
        />
      ))}
    </g>
  )
}
