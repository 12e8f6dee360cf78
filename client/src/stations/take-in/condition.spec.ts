import { expect, it } from 'vitest'
import { places } from './condition'

it('no two places on the drawn head lie over each other, so that every touch means one place', () => {
  for (const a of places)
    for (const b of places)
      if (a !== b) {
        const apart =
          a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y
        expect(apart, `${a.title} and ${b.title}`).toBe(true)
      }
})
