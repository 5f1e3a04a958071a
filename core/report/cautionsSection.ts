import type { ReportSection } from '../document'

/** Cautions a reader must have before repeating any of this (handbook, section 8). */
export function cautionsSection(): ReportSection {
  return {
    id: 'cautions',
    title: 'Cautions',
    blocks: [
      {
        kind: 'list',
        items: [
          'Transmit only into a rated load unless licensed for the frequency, mode and power; ' +
            'local rules and the licence decide. Unlocked ranges are not permission. This report is not legal advice.',
          'Loads and pads get hot enough to burn, and RF burns. Keep antennas away from eyes and body at high power.',
          'Put pads before an analyser from the radio side and check its damage level first.',
          'A verdict holds for the samples named here, on the days named here, into a load. ' +
            'It says nothing of other units, and nothing of what was not covered.',
        ],
      },
    ],
  }
}
