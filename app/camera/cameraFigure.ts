import type { Verdict } from '#core/decision'
import { rangeWords, valueWords } from '#core/judging'
import { setShortName } from '#core/review'
import { placeWords, type SlotResult, type Step } from '#core/step'
import { stationById } from '#core/station'

/** What a camera sees of the figure in hand. */
export interface CameraFigure {
  radio: string
  /** Station, place and what it is. */
  what: string
  /** `126 µW`; a dash before anything was read. */
  value: string
  range: string
  words: string
  verdict: Verdict
}

/** The figure in hand, as plain data: it crosses to another window. */
export function cameraFigure(step: Step, focus: SlotResult): CameraFigure {
  return {
    radio: setShortName(step.set),
    what: [stationById(step.stationId).title, placeWords(step), focus.slot.label].join(', '),
    value: valueWords(focus),
    range: focus.found ? rangeWords(focus) : '',
    words: focus.words,
    verdict: { ...focus.verdict },
  }
}
