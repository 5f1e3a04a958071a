/**
 * Cautions shown where transmitters are keyed (handbook, section 8). Short; local rules and the licence
 * decide.
 */
export const TRANSMIT_CAUTIONS: readonly string[] = [
  'Transmit only into a rated load unless you are licensed for this frequency, mode and power. ' +
    'Local rules and your licence decide; this is not legal advice.',
  'Loads and pads get hot enough to burn, and RF burns. Keep off connectors while keyed.',
]

/** Added where an analyser is connected. */
export const ANALYSER_CAUTIONS: readonly string[] = [
  'Pads first, from the radio side. Check the damage level before you key up.',
]
