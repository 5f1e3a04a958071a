import { dbmFromWatts, printClaimW, printDb, printDbm, printWatts, wattsFromDbm } from '../../quantity'
import type { LevelStairs } from '../levelStairs'
import type { SignalGenerator } from '../types'
import { type BenchCheck, type BenchCheckInput, check, powerInWords } from './check'

/** Power a generator is taken to survive where nobody says, W (assumed; common practice, no source). */
export const ASSUMED_REVERSE_W = 0.01

/** Nearer than this to what it survives, dB, earns a caution. */
const NEAR_REVERSE_DB = 3

/** Pad that is asked for at the generator’s socket at least, where its radio could destroy it, dB. */
const LEAST_PAD_DB = 20

/** What a keyed radio would do to the generator at the far end of its path. */
export function generatorWindow(
  generator: SignalGenerator,
  stairs: LevelStairs,
  input: BenchCheckInput,
): BenchCheck[] {
  const arrivesDbm = stairs.atInstrumentDbm
  if (arrivesDbm === null) return []
  return [reversePower(generator, arrivesDbm, input), levelsAtSocket(generator, stairs)]
}

function reversePower(generator: SignalGenerator, arrivesDbm: number, input: BenchCheckInput): BenchCheck {
  const survivesW = generator.reverseW ?? ASSUMED_REVERSE_W
  const spareDb = dbmFromWatts(survivesW) - arrivesDbm
  const said = generator.reverseW === null ? ' (nobody says; assumed)' : ''
  const title =
    `Keyed by mistake at ${powerInWords(input)}, ` +
    `the radio would send ${printWatts(wattsFromDbm(arrivesDbm), 2)} into ${generator.name}, ` +
    `which survives ${printClaimW(survivesW)}${said}.`
  if (spareDb >= NEAR_REVERSE_DB)
    return check('reverse-power', 'ok', { title, lamp: 'Generator survives a keyed radio' })
  const padDb = Math.max(LEAST_PAD_DB, Math.ceil(NEAR_REVERSE_DB - spareDb))
  const text =
    `Put ${printDb(padDb, 0)} of pad at the generator’s socket, ` +
    'unplug the microphone and block push-to-talk.'
  return spareDb > 0
    ? check('reverse-power', 'caution', { title, text, lamp: 'Generator hardly survives a keyed radio' })
    : check('reverse-power', 'danger', { title, text, lamp: 'A keyed radio would destroy the generator' })
}

function levelsAtSocket(generator: SignalGenerator, stairs: LevelStairs): BenchCheck {
  const lossDb = stairs.startDbm - stairs.atInstrumentDbm!
  return check('levels', 'ok', {
    title:
      `${generator.name} reaches ${printDbm(generator.lowestDbm - lossDb, 0)} to ` +
      `${printDbm(generator.highestDbm - lossDb, 0)} at the radio’s socket.`,
    text: 'Level at the socket = what the generator shows, less what the path takes.',
  })
}

/** True where a radio keyed by mistake could destroy the generator at the end of a path. */
export function couldDestroy(generator: SignalGenerator, arrivesDbm: number): boolean {
  return arrivesDbm >= dbmFromWatts(generator.reverseW ?? ASSUMED_REVERSE_W)
}
