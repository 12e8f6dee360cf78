import type { StationParts } from '../../job/station'
import BandMat from '../../job/BandMat.vue'
import LoopView from '../../job/LoopView.vue'
import SizeStation from './SizeStation.vue'

export const size: StationParts = { sheet: SizeStation, view: LoopView, mat: BandMat }
