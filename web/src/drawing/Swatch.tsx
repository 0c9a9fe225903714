import { useId } from "react"
import type { Material } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { colourOf, isPlain, pictureAt, SurfacePattern } from "./Textures"

/** A material as it looks: its colour, its texture, or a photo of it. */
export function Swatch({ material }: { material: Material }) {
  const id = useId()
  const textures = useDeclarations().data?.textures ?? []
  const picture = typeof material.picture === "string" ? material.picture : undefined
  const texture = material.texture ?? (material.kind === "rope" ? "twist" : "plain")
  const surface = { material: material.id, texture, repeat: 8 }
  return (
    <svg viewBox="0 0 32 32" className="h-9 w-9" aria-hidden="true">
      <SurfacePattern id={id} textures={textures} surface={surface} colour={colourOf(material)} width={20} />
      <clipPath id={`${id}round`}>
        <circle cx="16" cy="16" r="15" />
      </clipPath>
      {picture && (
        <image
          href={pictureAt(picture)}
          width="32"
          height="32"
          clipPath={`url(#${id}round)`}
          preserveAspectRatio="xMidYMid slice"
        />
      )}
      <circle
        cx="16"
        cy="16"
        r="15"
        fill={picture ? "none" : isPlain(surface) ? colourOf(material) : `url(#${id})`}
        stroke="var(--color-base-content)"
        strokeOpacity="0.6"
      />
    </svg>
  )
}
