export { firstNullToneHz, fullDeviationHz, spacingOf, USUAL_SPACING_HZ } from './deviation'
export { necessaryBandwidthHz } from './necessaryBandwidth'
export { ADJACENT_CHANNELS, adjacentHz, type AdjacentChannel } from './adjacentChannels'
