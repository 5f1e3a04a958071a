import { takeAudio } from './audio'
import { takeAntenna } from './antenna'
import { takeByEar } from './byEar'
import { takeBattery } from './battery'
import { takeHearing } from './hearing'
import { takeModulation } from './modulation'
import { takeOffAir } from './offAir'
import { takePapers } from './papers'
import { takeReach } from './reach'
import { takePowerAndHarmonics, takeSsbPower } from './powerAndHarmonics'
import { takePowerOverTime } from './powerOverTime'
import { takeSupply, takeTwoTone } from './sidebandAndSupply'
import type { DemoTaking } from './taking'

/** Everything the demo reads, in the order it was read. */
export const demoTakings: readonly DemoTaking[] = [
  takePowerAndHarmonics,
  takeSsbPower,
  takePowerOverTime,
  takeOffAir,
  takeModulation,
  takeTwoTone,
  takeSupply,
  takeHearing,
  takeAudio,
  takeBattery,
  takeAntenna,
  takePapers,
  takeReach,
  takeByEar,
]

/** Stations the demo’s review wants beyond those every review has, and what they keep. */
export { demoMemos, DEMO_ALSO_STATIONS } from './demoStations'
