import type { StationParts } from '../../job/station'
import BandMat from '../../job/BandMat.vue'
import ClaspStation from './ClaspStation.vue'
import ClaspView from './ClaspView.vue'

export const clasp: StationParts = { sheet: ClaspStation, view: ClaspView, mat: BandMat }
