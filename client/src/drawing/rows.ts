import type { ByHand, LayOut, LooseLink, PlacedLink, Side } from '../api/shop'

/** A link's place on the mat. */
export interface Place {
  side: Side
  ordinal: number
}

const looseOf = ({ pitchMm, mark, oneSided }: PlacedLink): LooseLink => ({ pitchMm, mark, oneSided })

/** The arrangement that is drawn, as the server takes it: what is out, what was put in. */
export function byHandOf(layOut: LayOut): ByHand {
  const side = (row: readonly PlacedLink[]) => ({
    out: row.flatMap((link, i) => (link.fate === 'leaves' ? [i] : [])),
    in: row.filter((link) => link.fate === 'joins').map(looseOf),
  })
  return {
    twelve: side(layOut.twelve),
    six: side(layOut.six),
    position: layOut.clasp?.position ?? layOut.strap?.hole ?? 0,
  }
}

/** The same with one link taken out, put back, or, if it came from the spares, laid aside again. */
export function toggled(layOut: LayOut, place: Place): ByHand {
  const flipped = layOut[place.side].flatMap((link, i): PlacedLink[] => {
    if (i !== place.ordinal) return [link]
    if (link.fate === 'joins') return []
    if (link.fate === 'fixed') return [link]
    return [{ ...link, fate: link.fate === 'leaves' ? 'stays' : 'leaves' }]
  })
  return byHandOf({ ...layOut, [place.side]: flipped })
}

/** The same with a loose link put in at the clasp end of a side. */
export function withLoose(layOut: LayOut, link: LooseLink, side: Side): ByHand {
  return byHandOf({ ...layOut, [side]: [...layOut[side], { ...link, fate: 'joins', pinned: false }] })
}

/** The same with one link moved to the other side, at the clasp; null where it does not come out or does not go there. */
export function movedAcross(layOut: LayOut, place: Place): ByHand | null {
  const link = layOut[place.side][place.ordinal]
  if (!link || link.fate === 'fixed' || link.fate === 'leaves' || link.oneSided) return null
  const other = place.side === 'twelve' ? 'six' : 'twelve'
  const without = layOut[place.side].flatMap((l, i): PlacedLink[] =>
    i !== place.ordinal ? [l] : link.fate === 'joins' ? [] : [{ ...l, fate: 'leaves' }],
  )
  return withLoose({ ...layOut, [place.side]: without }, looseOf(link), other)
}

/** The same at another micro position or in another hole. */
export function atPosition(layOut: LayOut, position: number): ByHand {
  return { ...byHandOf(layOut), position }
}

/** The links from left to right as they lie on the mat: the 12 side clasp to case, then the 6 side case to clasp. */
export function onTheMat(layOut: LayOut): Place[] {
  const twelve = layOut.twelve.map((_, ordinal): Place => ({ side: 'twelve', ordinal })).reverse()
  const six = layOut.six.map((_, ordinal): Place => ({ side: 'six', ordinal }))
  return [...twelve, ...six]
}
