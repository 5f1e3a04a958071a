import type { Station } from './contract'
import { audioStation } from './receive/audio/station'
import { byEarStation } from './receive/by-ear/station'
import { neighbourStation } from './receive/neighbour/station'
import { reachStation } from './receive/reach/station'
import { sensitivityStation } from './receive/sensitivity/station'
import { squelchStation } from './receive/squelch/station'
import { strongSignalsStation } from './receive/strong-signals/station'
import { bandwidthStation } from './transmit/bandwidth/station'
import { carrierPowerStation } from './transmit/carrier-power/station'
import { deviationStation } from './transmit/deviation/station'
import { frequencyStation } from './transmit/frequency/station'
import { harmonicsStation } from './transmit/harmonics/station'
import { offAirStation } from './transmit/off-air/station'
import { powerOverTimeStation } from './transmit/power-over-time/station'
import { twoToneStation } from './transmit/two-tone/station'
import { antennaStation } from './whole/antenna/station'
import { batteryStation } from './whole/battery/station'
import { displayStation } from './whole/display/station'
import { firmwareStation } from './whole/firmware/station'
import { insideStation } from './whole/inside/station'
import { labelsStation } from './whole/labels/station'
import { stressStation } from './whole/stress/station'

/** Every station: the one place that lists them. The order of work follows from `order`. */
export const registered: readonly Station[] = [
  carrierPowerStation,
  powerOverTimeStation,
  harmonicsStation,
  offAirStation,
  deviationStation,
  frequencyStation,
  bandwidthStation,
  twoToneStation,
  sensitivityStation,
  squelchStation,
  neighbourStation,
  strongSignalsStation,
  audioStation,
  reachStation,
  byEarStation,
  batteryStation,
  antennaStation,
  labelsStation,
  firmwareStation,
  displayStation,
  insideStation,
  stressStation,
]
