import { describe, expect, it } from 'vitest'
import { blades, jaws } from './jaws'

const points = (path: string) =>
  [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const)

describe('where the jaws go', () => {
  it('stands inside jaws between the lugs and closes outside jaws on the tips', () => {
    const [above, below] = blades(jaws.lugWidth).map(points)
    const { from, to } = jaws.lugWidth
    expect(above!.every(([, y]) => y >= from[1])).toBe(true)
    expect(below!.every(([, y]) => y <= to[1])).toBe(true)
    const [left, right] = blades(jaws.lugToLug).map(points)
    expect(left!.every(([x]) => x <= jaws.lugToLug.from[0])).toBe(true)
    expect(right!.every(([x]) => x >= jaws.lugToLug.to[0])).toBe(true)
  })

  it('touches both faces exactly for every figure that jaws are put to', () => {
    for (const placed of Object.values(jaws).filter((j) => j.tool === 'inside' || j.tool === 'outside')) {
      const [one, other] = blades(placed).map(points)
      const touches = (path: (readonly [number, number])[], face: [number, number]) =>
        path.filter(([x, y]) => Math.abs(Math.hypot(x - face[0], y - face[1]) - 9) < 1e-9).length
      expect(touches(one!, placed.from)).toBeGreaterThanOrEqual(2)
      expect(touches(other!, placed.to)).toBeGreaterThanOrEqual(2)
    }
  })
})
