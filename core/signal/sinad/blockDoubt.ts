import { printDb } from '../../quantity'

/** What is wrong with a block of audio: with any of these it is not fit to keep, unless the reviewer insists. */
export type BlockDoubt =
  | { kind: 'silence' }
  | { kind: 'no-tone' }
  | { kind: 'wrong-tone'; toneHz: number; wantedHz: number }
  | { kind: 'clipping'; share: number }
  | { kind: 'hum'; mainsHz: 50 | 60; share: number }
  | { kind: 'level-jump'; atS: number; stepDb: number }
  | { kind: 'unsteady'; scatterDb: number }

/** A doubt in words that say what to do. */
export function blockDoubtWords(doubt: BlockDoubt): string {
  switch (doubt.kind) {
    case 'silence':
      return 'Silence: nothing comes in. Is the cable in, the right input chosen, the volume up, the squelch open?'
    case 'no-tone':
      return 'No tone stands out of the noise. Is the modulation on, the generator on frequency, its level high enough?'
    case 'wrong-tone':
      return (
        `The tone is at ${doubt.toneHz.toFixed(0)} Hz, not ${doubt.wantedHz.toFixed(0)} Hz. ` +
        'Another modulation source, or another sample rate?'
      )
    case 'clipping':
      return (
        `Clipped: ${percent(doubt.share)} of the samples stand at the rail. ` +
        'Turn the volume or the input down; distortion of the input would be read as the radio’s.'
      )
    case 'hum':
      return (
        `Hum of ${doubt.mainsHz} Hz and its multiples makes ${percent(doubt.share)} of what ` +
        'counts as noise. A ground loop is not the radio’s: try an isolating transformer, or the battery.'
      )
    case 'level-jump':
      return (
        `The tone jumps by ${printDb(Math.abs(doubt.stepDb))} after ${doubt.atS.toFixed(1)} s. ` +
        'Did someone move the volume or the generator?'
      )
    case 'unsteady':
      return (
        `The tone is not steady: it moves by ±${printDb(doubt.scatterDb)} within the block. ` +
        'Automatic gain, a loose plug, or a radio off frequency?'
      )
  }
}

function percent(share: number): string {
  return share < 0.001 ? 'under 0.1 %' : `${(100 * share).toFixed(share < 0.095 ? 1 : 0)} %`
}
