import type { Point } from "./byHand"

/** What is carried lies over the drawing as a picture of its own: nothing of the drawing is laid out or painted. */
export interface Carried {
  /** So far from where it is drawn, in the drawing’s own measure. */
  to: (by: Point) => void
  says: (words: string) => void
  /** It lies where it is drawn again. */
  end: () => void
}

/**
 * Takes everything of some layers off a drawing, to be carried.
 *
 * @param svg the drawing; parts of layers say which (`data-layer`)
 * @param at where it was grabbed: there it is said where it is
 * @param letter how large the drawing’s letters are
 */
export function carry(svg: SVGSVGElement, layers: string[], at: Point, letter: number): Carried {
  const of = layers.map((layer) => `[data-layer="${CSS.escape(layer)}"]`).join()
  const parts = [...svg.querySelectorAll<SVGGElement>(of)]
  const over = svg.cloneNode(false) as SVGSVGElement
  const { left, top, width, height } = svg.getBoundingClientRect()
  const paper = svg.parentElement!.getBoundingClientRect()
  Object.assign(over.style, { position: "absolute", overflow: "visible", pointerEvents: "none", maxWidth: "none" })
  Object.assign(over.style, { left: `${left - paper.left}px`, top: `${top - paper.top}px` })
  Object.assign(over.style, { width: `${width}px`, height: `${height}px`, willChange: "transform" })
  for (const name of ["role", "aria-label"]) over.removeAttribute(name)
  over.setAttribute("aria-hidden", "true")
  for (const part of parts) {
    const copy = part.cloneNode(true) as SVGGElement
    // What it is painted with stays where it was declared; a slider is there once, for keys too.
    copy.querySelectorAll("defs").forEach((each) => each.remove())
    for (const name of ["role", "tabindex"]) {
      copy.querySelectorAll(`[${name}]`).forEach((each) => each.removeAttribute(name))
    }
    over.append(copy)
    part.style.opacity = "0"
  }
  const words = document.createElementNS(svg.namespaceURI, "text") as SVGTextElement
  words.setAttribute("x", String(at[0]))
  words.setAttribute("y", String(at[1] - letter * 1.2))
  words.setAttribute("font-size", String(letter))
  words.setAttribute("stroke-width", String(letter * 0.25))
  words.setAttribute("class", "carried-says")
  over.append(words)
  svg.after(over)
  const scale = svg.getScreenCTM()?.a ?? 1
  return {
    to: ([x, y]) => (over.style.transform = `translate(${x * scale}px, ${y * scale}px)`),
    says: (said) => said !== words.textContent && (words.textContent = said),
    end: () => {
      over.remove()
      for (const part of parts) part.style.opacity = ""
    },
  }
}
