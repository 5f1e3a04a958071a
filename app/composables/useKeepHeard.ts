import { type AudioWeighting, weightingWords } from '#core/signal'
import { printNumber } from '#core/quantity'
import { seenFigure } from '#core/step'

/** A figure that was heard, about to be kept. */
export interface HeardFigure {
  db: number
  scatterDb: number
  /** How it was come by: `Mean of 4 s`. */
  how: string
  doubts: readonly string[]
}

/** Keeps a figure that was heard in the next open field of the station in hand; null where none takes it. */
export function useKeepHeard(source: { device: () => string; weighting: () => AudioWeighting }) {
  const keepNext = inject(KEEP_NEXT, null)
  if (!keepNext) return null
  return ({ db, scatterDb, how, doubts }: HeardFigure): void => {
    const value = Number(db.toFixed(2))
    const device = source.device() || 'sound card'
    const doubted = doubts.length > 0 ? ` Kept in spite of: ${doubts.join(' ')}` : ''
    keepNext({
      text: printNumber(value, 1),
      seen: seenFigure({
        value,
        unit: 'dB',
        resolution: 0.1,
        standardUncertainty: scatterDb,
        method: `${how} from ${device}, ${weightingWords(source.weighting())}.${doubted}`,
      }),
      source: { kind: 'link', instrument: device },
    })
  }
}
