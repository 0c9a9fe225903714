import type { Drawing } from "../keep/client"

/** The form itself: its bands, its ribs, its stem. */
export function FormLines({ form, coat }: { form: Drawing["form"]; coat?: string }) {
  const thin = form.base === "wire" ? (form.bands[0]?.rail_width ?? 0) : form.face * 0.04
  return (
    <>
      <g fill="none" stroke="var(--wire)" strokeLinecap="round">
        {form.parts
          .filter((part) => part.kind === "rib")
          .map((part) => (
            <path key={part.line} d={part.line} strokeWidth={thin} />
          ))}
        {form.parts
          .filter((part) => part.kind === "stem")
          .map((part) => (
            <path key={part.line} d={part.line} strokeWidth={part.width} strokeLinecap="butt" />
          ))}
        {form.parts
          .filter((part) => part.kind === "stem")
          .map((part) => (
            <path
              key={`core ${part.line}`}
              d={part.line}
              stroke="var(--core)"
              strokeWidth={(part.width ?? 0) - 2 * thin}
              strokeLinecap="butt"
            />
          ))}
      </g>
      {form.bands.map((band, index) => (
        <BandLines key={index} band={band} coat={coat} />
      ))}
    </>
  )
}

/** The form itself, in the colour of its coat when it has one. */
function BandLines({ band, coat }: { band: Drawing["form"]["bands"][number]; coat?: string }) {
  if (band.base === "wire") {
    return (
      <g fill="none" stroke={coat ?? "var(--wire)"} strokeWidth={band.rail_width} strokeLinecap="round">
        {band.crossbars.map((bar, index) => (
          <path key={index} strokeWidth={band.rail_width * 0.8} d={`M${bar[0]} ${bar[1]} L${bar[2]} ${bar[3]}`} />
        ))}
        {band.rails.map((rail, index) => (
          <path key={index} d={rail} />
        ))}
      </g>
    )
  }
  return (
    <g fill="none" strokeLinejoin={band.pointed ? "miter" : "round"}>
      <path d={band.middle} stroke="var(--wire)" strokeWidth={band.face} />
      <path d={band.middle} stroke={coat ?? "var(--core)"} strokeWidth={band.face * 0.97} />
    </g>
  )
}
