/** The parts of the package that are used here; it declares none of its types itself. */
declare module "magic-wand-tool" {
  interface Mask {
    data: Uint8Array
    width: number
    height: number
    bounds: { minX: number; minY: number; maxX: number; maxY: number }
  }

  interface Contour {
    inner: boolean
    points: { x: number; y: number }[]
  }

  const MagicWand: {
    floodFill(
      image: { data: Uint8Array | Uint8ClampedArray; width: number; height: number; bytes: number },
      x: number,
      y: number,
      threshold: number,
      visited: Uint8Array | null,
      withBorders: boolean,
    ): Mask | null
    traceContours(mask: Mask): Contour[]
    simplifyContours(contours: Contour[], tolerance: number, least: number): Contour[]
  }
  export default MagicWand
}
