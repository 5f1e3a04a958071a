import type { Mistake } from '../mistake'
import { ambientCarrier } from './ambientCarrier'
import { dualWatch } from './dualWatch'
import { forgottenOffset } from './forgottenOffset'
import { generatorEmf } from './generatorEmf'
import { generatorOff } from './generatorOff'
import { halfALimit } from './halfALimit'
import { halfBattery } from './halfBattery'
import { noisyGenerator } from './noisyGenerator'
import { overloadedAnalyser } from './overloadedAnalyser'
import { secondSample } from './secondSample'
import { smallLoad } from './smallLoad'
import { sweepEnds } from './sweepEnds'
import { toneSquelch } from './toneSquelch'
import { wornPad } from './wornPad'
import { wrongPad } from './wrongPad'

/** Every mistake an evening may plant. */
export const mistakes: readonly Mistake[] = [
  forgottenOffset,
  wrongPad,
  wornPad,
  toneSquelch,
  dualWatch,
  halfBattery,
  generatorOff,
  generatorEmf,
  overloadedAnalyser,
  halfALimit,
  secondSample,
  sweepEnds,
  ambientCarrier,
  noisyGenerator,
  smallLoad,
]

/** A mistake by its id. @throws Error for one that does not exist */
export function mistakeById(id: string): Mistake {
  const found = mistakes.find(mistake => mistake.id === id)
  if (!found) throw new Error(`There is no mistake “${id}”.`)
  return found
}
