import type { StationParts } from '../../job/station'
import BraceletMat from './BraceletMat.vue'
import GaugeStation from './GaugeStation.vue'
import GaugeView from './GaugeView.vue'

export const gauge: StationParts = { sheet: GaugeStation, view: GaugeView, mat: BraceletMat }
