import { useId } from "react"
import type { Material } from "../keep/client"
import { Texture, colourOf, textureOf } from "./Textures"

/** A material as it looks: its colour and its texture. */
export function Swatch({ material }: { material: Material }) {
  const id = useId()
  return (
    <svg viewBox="0 0 32 32" className="h-9 w-9" aria-hidden="true">
      <Texture id={id} texture={textureOf(material)} width={20} />
      <circle
        cx="16"
        cy="16"
        r="15"
        fill={colourOf(material)}
        stroke="var(--color-base-content)"
        strokeOpacity="0.6"
      />
      {textureOf(material) !== "plain" && <circle cx="16" cy="16" r="15" fill={`url(#${id})`} />}
    </svg>
  )
}
