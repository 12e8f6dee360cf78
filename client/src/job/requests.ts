import type { Request } from '../api/shop'

export const requests: { value: Request; title: string }[] = [
  { value: 'changeStrap', title: 'Change the strap' },
  { value: 'fitMesh', title: 'Fit a mesh' },
  { value: 'replaceClasp', title: 'Replace the clasp' },
  { value: 'takeLinksOut', title: 'Take links out' },
  { value: 'putLinksIn', title: 'Put links in' },
  { value: 'refit', title: 'Refit after wear' },
  { value: 'positionOnly', title: 'Hole, notch or micro position only' },
  { value: 'replacePart', title: 'Replace a lost or worn part' },
  { value: 'offAndOn', title: 'Band off and on again' },
  { value: 'putOwnBandOn', title: 'Put the owner’s own band on' },
  { value: 'somethingElse', title: 'Something else' },
]
