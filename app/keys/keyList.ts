import { places } from './places'

/** A line of the list of keys. */
export interface KeyLine {
  keys: string[]
  words: string
}

const ON_STATIONS: readonly KeyLine[] = [
  { keys: ['Enter'], words: 'keep the reading and go on' },
  { keys: ['Backspace'], words: 'on an empty field: go back one' },
  { keys: ['0–9'], words: 'on a station: type into the next open field' },
  { keys: ['Space'], words: 'key-down clock, start and stop' },
  { keys: ['N'], words: 'next step' },
  { keys: ['P'], words: 'previous step' },
  { keys: ['R'], words: 'retake the reading last kept in this step' },
  { keys: ['I'], words: 'bring in a trace, a log or a recording' },
  { keys: ['O'], words: 'note to this step' },
  { keys: ['L'], words: 'listen to the sound card, and stop; or read the instrument, where it answers' },
  { keys: ['K'], words: 'keep the SINAD that is heard' },
  { keys: ['W'], words: 'why and how of a station' },
  { keys: ['C'], words: 'a second window for a camera, with only the figure in hand' },
  { keys: ['V'], words: 'the station’s drawing as a picture' },
  { keys: ['Alt', '←/→'], words: 'bench check: move the part' },
]

const ELSEWHERE: readonly KeyLine[] = [
  { keys: ['G', 'S'], words: 'go to the shelf' },
  { keys: ['G', 'T'], words: 'go to the tools' },
  { keys: ['G', 'V'], words: 'practice: to the bench of the evening' },
  { keys: ['/'], words: 'find any station, radio or step by a few letters' },
  { keys: ['T'], words: 'day or night' },
  { keys: ['Ctrl', 'Z'], words: 'undo' },
  { keys: ['Ctrl', 'Shift', 'Z'], words: 'redo' },
  { keys: ['?'], words: 'this list' },
]

/** All keys of the product, as the list behind `?` shows them. */
export function keyList(): readonly KeyLine[] {
  const going = places().flatMap(({ letter, title }): KeyLine[] =>
    letter ? [{ keys: ['G', letter.toUpperCase()], words: `go to ${title.toLowerCase()}` }] : [],
  )
  return [...ON_STATIONS, ...going, ...ELSEWHERE]
}
