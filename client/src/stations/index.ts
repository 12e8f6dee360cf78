import type { Station } from '../api/shop'
import type { StationParts } from '../job/station'
import { bench } from './bench'
import { clasp } from './clasp'
import { gauge } from './gauge'
import { handOver } from './hand-over'
import { match } from './match'
import { size } from './size'
import { takeIn } from './take-in'

/** What each station shows. */
export const parts: Record<Station, StationParts> = { takeIn, gauge, match, clasp, size, bench, handOver }
