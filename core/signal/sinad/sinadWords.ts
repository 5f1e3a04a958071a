import { printDb } from '../../quantity'
import { blockDoubtWords } from './blockDoubt'
import { weightingWords } from './audioFilter'
import type { SinadBlock, SinadSettings } from './sinadBlock'

/** A block as one line: `SINAD 12.3 dB ±0.2, tone 999.8 Hz, distortion 1.2 %; 300 Hz to 3 kHz`, and its doubts. */
export function sinadWords(block: SinadBlock, { weighting }: SinadSettings): string[] {
  const doubts = block.doubts.map(blockDoubtWords)
  if (!block.parts) return doubts
  const { sinadDb, standardUncertaintyDb, toneHz, distortion } = block.parts
  const figure = `SINAD ${printDb(sinadDb)} ±${(2 * standardUncertaintyDb).toFixed(1)}`
  const percent = (100 * distortion).toFixed(1)
  return [
    `${figure}, tone ${toneHz.toFixed(1)} Hz, distortion ${percent} %; ${weightingWords(weighting)}.`,
    ...doubts,
  ]
}
