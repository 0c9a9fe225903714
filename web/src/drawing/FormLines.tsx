import type { Drawing } from "../keep/client"

/** The form itself, in the colour of its coat when it has one. */
export function FormLines({ form, coat }: { form: Drawing["form"]; coat?: string }) {
  return (
    <g fill="none">
      {form.marks.map((mark, index) => (
        <path
          key={index}
          d={mark.path}
          stroke={(mark.coated && coat) || `var(--${mark.paint})`}
          strokeWidth={mark.width}
          strokeLinecap={mark.cap}
          strokeLinejoin={mark.join}
        />
      ))}
    </g>
  )
}
