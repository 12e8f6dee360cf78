import type { LayOut, LoopSheet, PlacedLink, Side } from '../api/shop'
import { tenths } from '../api/tenths'

const counts = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const inWords = (n: number) => counts[n] ?? String(n)

function sideTold(name: string, links: readonly PlacedLink[]): string {
  if (links.length === 0) return ''
  const fixed = links.filter((l) => l.fate === 'fixed').length
  const kinds = new Map<number, PlacedLink[]>()
  for (const link of links.filter((l) => l.fate !== 'fixed'))
    kinds.set(link.pitchMm, [...(kinds.get(link.pitchMm) ?? []), link])
  const told = [...kinds].map(([pitch, of]) => {
    const out = of.filter((l) => l.fate === 'leaves').length
    const put = of.filter((l) => l.fate === 'joins').length
    return [
      `${of.length} of ${pitch}`,
      out > 0 && (out === of.length ? 'all of them out' : `${inWords(out)} of them out`),
      put > 0 && `${inWords(put)} of them put in`,
    ]
      .filter(Boolean)
      .join(', ')
  })
  return `${name}: ${[fixed > 0 && `${fixed} fixed`, ...told].filter(Boolean).join(', ')}.`
}

/** The lay-out in words, for whoever does not see it: "12 side: 2 fixed, 5 of 8.4, two of them out." */
export function layOutTold(layOut: LayOut): string {
  const side = (of: Side) => sideTold(of === 'twelve' ? '12 side' : '6 side', layOut[of])
  const { clasp, strap } = layOut
  return [
    side('twelve'),
    side('six'),
    clasp && clasp.positions > 1 && `Micro position ${clasp.position + 1} of ${clasp.positions}.`,
    strap && `${strap.holesMm.length} holes, closed in ${strap.hole + 1}.`,
  ]
    .filter(Boolean)
    .join(' ')
}

/** The loop in words. */
export function loopTold(loop: LoopSheet): string {
  const rulers = loop.rulers
  return [
    loop.figures && `Loop ${tenths(loop.figures.lengthMm)} mm of ${tenths(loop.figures.targetMm)} wanted.`,
    rulers && `Ease ${rulers.ease.text}, ${rulers.temper}.`,
    rulers?.offCentre && `Clasp off centre ${rulers.offCentre.text}.`,
    rulers && `Left to tighten ${rulers.tighter.text}, to loosen ${rulers.looser.text}.`,
  ]
    .filter(Boolean)
    .join(' ')
}
