import type { GaugedFigure } from '../api/gauge'

/**
 * What is drawn under the jaws: dial up, from the side, one lug close by, a bar, a slot, the band, the wrist; a clasp from
 * above and from the side, a butterfly, the band's end, a pin.
 */
export type Scene =
  | 'above'
  | 'side'
  | 'lug'
  | 'bar'
  | 'slot'
  | 'band'
  | 'bandSide'
  | 'wrist'
  | 'clasp'
  | 'claspSide'
  | 'butterfly'
  | 'tip'
  | 'pin'

export interface Jaws {
  scene: Scene
  from: [number, number]
  to: [number, number]
  /** Inside jaws stand between the two faces, outside ones close on them; a rod reaches down; a tape goes round. */
  tool: 'inside' | 'outside' | 'rod' | 'tape'
}

/** Where the tool goes for each figure, on a sheet of 200 by 110. */
export const jaws: Record<GaugedFigure, Jaws> = {
  lugWidth: { scene: 'above', from: [58, 39], to: [58, 71], tool: 'inside' },
  lugToLug: { scene: 'above', from: [52, 84], to: [148, 84], tool: 'outside' },
  barToBar: { scene: 'side', from: [58, 62], to: [142, 62], tool: 'outside' },
  barRise: { scene: 'side', from: [58, 62], to: [58, 78], tool: 'rod' },
  caseHeight: { scene: 'side', from: [100, 34], to: [100, 78], tool: 'outside' },
  barGap: { scene: 'side', from: [58, 62], to: [69, 62], tool: 'inside' },
  lugHole: { scene: 'lug', from: [91, 55], to: [109, 55], tool: 'inside' },
  ownBar: { scene: 'bar', from: [100, 47], to: [100, 63], tool: 'outside' },
  slotHeight: { scene: 'slot', from: [58, 48], to: [58, 64], tool: 'inside' },
  bandWidth: { scene: 'band', from: [36, 33], to: [36, 77], tool: 'outside' },
  bandEnd: { scene: 'bandSide', from: [36, 44], to: [36, 66], tool: 'outside' },
  bandThickness: { scene: 'bandSide', from: [112, 50], to: [112, 62], tool: 'outside' },
  claspEnd: { scene: 'band', from: [148, 40], to: [148, 70], tool: 'outside' },
  linkPitch: { scene: 'band', from: [82, 55], to: [98, 55], tool: 'outside' },
  wrist: { scene: 'wrist', from: [48, 55], to: [152, 55], tool: 'tape' },
  wristWidth: { scene: 'wrist', from: [48, 55], to: [152, 55], tool: 'outside' },
  claspInner: { scene: 'clasp', from: [66, 33], to: [66, 77], tool: 'inside' },
  claspThroat: { scene: 'claspSide', from: [48, 51], to: [48, 65], tool: 'inside' },
  claspTube: { scene: 'butterfly', from: [38, 46], to: [38, 64], tool: 'outside' },
  overButtons: { scene: 'butterfly', from: [110, 21], to: [110, 89], tool: 'outside' },
  claspBar: { scene: 'pin', from: [100, 49], to: [100, 61], tool: 'outside' },
  claspBarLength: { scene: 'pin', from: [44, 55], to: [156, 55], tool: 'outside' },
  microPitch: { scene: 'claspSide', from: [94, 44], to: [108, 44], tool: 'outside' },
  extension: { scene: 'claspSide', from: [136, 74], to: [166, 74], tool: 'outside' },
  endNotch: { scene: 'tip', from: [132, 42], to: [132, 68], tool: 'inside' },
  endBore: { scene: 'tip', from: [106, 25], to: [118, 25], tool: 'inside' },
  otherEndBore: { scene: 'tip', from: [106, 25], to: [118, 25], tool: 'inside' },
  pinDiameter: { scene: 'pin', from: [100, 49], to: [100, 61], tool: 'outside' },
  pinLength: { scene: 'pin', from: [44, 55], to: [156, 55], tool: 'outside' },
  wristDepth: { scene: 'wrist', from: [100, 17], to: [100, 93], tool: 'outside' },
}

/** The blades: two wedges that touch the faces from outside or from between them. */
export function blades({ from, to, tool }: Jaws): [string, string] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const along = [(to[0] - from[0]) / length, (to[1] - from[1]) / length] as const
  const across = [-along[1], along[0]] as const
  const wedge = (at: [number, number], sign: number) => {
    const thick = tool === 'inside' ? Math.min(5, length / 3) : 5
    const [dx, dy] = [along[0] * sign * thick, along[1] * sign * thick]
    const p = (a: number, b: number) => `${at[0] + across[0] * a + dx * b} ${at[1] + across[1] * a + dy * b}`
    return `M${p(-9, 0)} L${p(9, 0)} L${p(9, 0.5)} L${p(0, 1)} L${p(-9, 1)} Z`
  }
  const outward = tool === 'inside' ? 1 : -1
  return [wedge(from, outward), wedge(to, -outward)]
}
