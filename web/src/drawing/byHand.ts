/** What can be sized on the drawing itself. */
export interface Sizing {
  /** The size or string that the maker is at. */
  measuring?: string
  /** What each size is called, by its place; only these can be typed. */
  labels: Record<string, string>
  problem: (about: string) => string | undefined
  onSize: (about: string, text: string) => void
}

/** An hour, a length from the start of an open form, or the middle of the opening. */
export type Place = number | "middle"

/** Something that has its place: by the clock, or on an open form how far from its start (`along`). */
export interface Spot {
  layer: string
  option: string
  says: string
  at: Place
  along?: boolean
  /** Whether it can hang in the middle of the opening. */
  middle?: boolean
  /** Where it is no place but a length that is dragged out. */
  measure?: Measure
  /** That length as it was last said, which may not be drawn yet. */
  said?: number
  /** Layers that go with it as they are while it is carried elsewhere; none where it has to be worked to be seen. */
  carries?: string[]
}

/** A length of a layer: which of its pieces show it, and the marks and units it is dragged in. */
export interface Measure {
  /** Kinds of lies, and with what the keys of these begin where it is a part that has the length. */
  drawn: string[]
  part?: string
  /** Where it goes from the first of several to the next: how many there are. */
  several?: number
  mark: number
  unit: string
}

/** What can be put at its place on the drawing itself. */
export interface Placing {
  spots: Spot[]
  onPlace: (layer: string, option: string, at: Place) => void
  /** Whether gaps are pointed at besides. */
  gaps: boolean
}

export type Point = [number, number]

/** How places on a form are numbered. */
export interface Scale {
  most: number
  /** Where a number lies, where the scale itself knows. */
  point: (at: number) => Point | undefined
  /** The number of a place. */
  at: (x: number, y: number) => Place
  /** So much on, or back. */
  moved: (at: number, by: number) => number
  says: (at: Place) => string
}
