import { describe, expect, it } from "vitest"
import { leftOf, takenOff, type Pixels } from "./cutting"

/** A disc of a colour on a ground of another, the ground a little darker from left to right. */
function disc(width: number, height: number, radius: number, hole = 0): Pixels {
  const data = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const far = Math.hypot(x + 0.5 - width / 2, y + 0.5 - height / 2)
      const on = far < radius && far >= hole
      data.set(on ? [200, 60, 40, 255] : [230 - x / 10, 230 - x / 10, 225, 255], (y * width + x) * 4)
    }
  }
  return { data, width, height }
}

const count = (off: Uint8Array) => off.reduce((sum, each) => sum + each, 0)

describe("cutting a thing out of its photo", () => {
  it("takes off the ground that was tapped, and leaves what is on it", () => {
    const photo = disc(200, 160, 50)
    const off = takenOff(photo, [[3, 3]], 20)
    expect(count(off)).toBeCloseTo(200 * 160 - Math.PI * 50 ** 2, -2)
    expect(off[80 * 200 + 100]).toBe(0)
  })

  it("takes off more where more may be alike, all of it in the end, and nothing untapped", () => {
    const photo = disc(200, 160, 50)
    expect(count(takenOff(photo, [], 20))).toBe(0)
    const [little, more, all] = [1, 20, 255].map((alike) => count(takenOff(photo, [[3, 3]], alike)))
    expect(little).toBeLessThan(more!)
    expect(all).toBe(200 * 160)
    expect(leftOf(photo, takenOff(photo, [[3, 3]], 255))).toBeUndefined()
  })

  it("needs a tap of its own for what the thing encloses", () => {
    const photo = disc(200, 160, 50, 20)
    const once = count(takenOff(photo, [[3, 3]], 20))
    const twice = takenOff(
      photo,
      [
        [3, 3],
        [100, 80],
      ],
      20,
    )
    expect(count(twice) - once).toBeCloseTo(Math.PI * 20 ** 2, -2)
  })

  it("is no larger for a speck that was left of the ground", () => {
    const photo = disc(300, 260, 100)
    photo.data.set([90, 90, 90, 255], (5 * 300 + 290) * 4)
    const off = takenOff(photo, [[3, 3]], 30)
    expect(off[5 * 300 + 290]).toBe(0)
    const left = leftOf(photo, off)!
    expect([left.x, left.y, left.width, left.height]).toEqual([50, 30, 200, 200])
  })

  // A disc is pi r^2 large: the shoelace formula over its outline comes to that.
  it("outlines what is left, in thousandths of its width", () => {
    const photo = disc(300, 260, 100)
    const left = leftOf(photo, takenOff(photo, [[3, 3]], 30))!
    expect([left.x, left.y, left.width, left.height]).toEqual([50, 30, 200, 200])
    const area = left.outline.reduce((sum, [x, y], i) => {
      const [u, v] = left.outline[(i + 1) % left.outline.length]!
      return sum + (x! * v! - u! * y!) / 2
    }, 0)
    expect(Math.abs(area) / 1e6).toBeCloseTo(Math.PI / 4, 1.5)
    expect(left.outline.length).toBeLessThanOrEqual(240)
  })
})
