import type { Review } from '../../review'
import {
  ANTENNA_ID,
  AUDIO_ID,
  BATTERY_ID,
  BY_EAR_ID,
  DISPLAY_ID,
  FIRMWARE_ID,
  LABELS_ID,
  OFF_AIR_ID,
  POWER_OVER_TIME_ID,
  REACH_ID,
  TWO_TONE_ID,
} from '../../station'
import { DEMO_ANTENNAS } from './antenna'
import { DEMO_BATTERY_MEMO } from './battery'
import { DEMO_BLIND_ROUNDS } from './byEar'
import { DEMO_GEOMETRY } from './offAir'
import { DEMO_REACH_MEMO } from './reach'

/** Stations the demo’s review wants beyond those every review has. */
export const DEMO_ALSO_STATIONS: readonly string[] = [
  POWER_OVER_TIME_ID,
  OFF_AIR_ID,
  TWO_TONE_ID,
  AUDIO_ID,
  BATTERY_ID,
  ANTENNA_ID,
  LABELS_ID,
  FIRMWARE_ID,
  DISPLAY_ID,
  REACH_ID,
  BY_EAR_ID,
]

/** What stations keep in the demo’s review. */
export function demoMemos(): Review['memos'] {
  return {
    [OFF_AIR_ID]: { common: { geometry: DEMO_GEOMETRY }, bySet: {} },
    [REACH_ID]: { common: DEMO_REACH_MEMO, bySet: {} },
    [BATTERY_ID]: { common: DEMO_BATTERY_MEMO, bySet: {} },
    [BY_EAR_ID]: { common: null, bySet: { ...DEMO_BLIND_ROUNDS } },
    [ANTENNA_ID]: { common: null, bySet: { ...DEMO_ANTENNAS } },
  }
}
