/** The product's own face, and what stands in for it. */
export const TEXT_FACE = "'Atkinson Hyperlegible Next', 'Meter Signs', sans-serif"
/** Figures under each other. */
export const FIGURE_FACE = "'Atkinson Hyperlegible Mono', 'Meter Signs', monospace"
/** Width of a figure, share of its size. */
export const FIGURE_WIDTH = 0.62
