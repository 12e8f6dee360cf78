import type { OwnPartKind } from '../../api/clasp'

/** The rules about a clasp, as a fitter calls them. */
export const ruleNames: Record<string, string> = {
  'clasp-kind': 'Kind',
  'clasp-width': 'Width',
  'end-tube': 'Tube',
  'button-span': 'Buttons',
  pin: 'Pins',
  'clasp-bar': 'Bar',
  'strap-thickness': 'Thickness',
  'clasp-finish': 'Looks',
  'open-look': 'When open',
  reach: 'Reach',
}

/** What an own part is looked at for. */
export const looks: Record<OwnPartKind, { straight: string; springy: string; unworn: string }> = {
  clasp: {
    straight: 'straight, tongue and frame',
    springy: 'closes with a click and stays',
    unworn: 'no worn edge or hole',
  },
  springBars: {
    straight: 'both straight',
    springy: 'tips spring out again',
    unworn: 'no worn tip or flange',
  },
  claspPins: {
    straight: 'both straight',
    springy: 'sit tight, spring back',
    unworn: 'no worn end or thread',
  },
}
