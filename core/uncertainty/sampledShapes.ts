import type { Contribution } from './contribution'
import { type Complex, type Shape, shapeOf } from './shapes'

/** A characteristic function at (k + 1/2)·step for k from 0 on, as far as anybody asked. */
export interface Samples {
  re: number[]
  /** Empty for a symmetric shape: its function is real. */
  im: number[]
}

/** A shape that remembers its characteristic function: budgets of one bench share most of their lines. */
export interface SampledShape extends Shape {
  /** The samples for a step (1/unit), at least so many of them. */
  samples: (step: number, count: number) => Samples
}

/** So many shapes, and samples of all of them together, are kept before all are let go. */
const MOST_SHAPES = 20_000
const MOST_SAMPLES = 1_000_000

const known = new Map<string, SampledShape>()
let samplesKept = 0

/** The shape of a contribution, the very same for all that are distributed alike. */
export function sampledShapeOf(contribution: Contribution): SampledShape {
  if (samplesKept > MOST_SAMPLES || known.size >= MOST_SHAPES) {
    known.clear()
    samplesKept = 0
  }
  let shape = known.get(contribution.shapeKey)
  if (!shape) known.set(contribution.shapeKey, (shape = sampled(shapeOf(contribution))))
  return shape
}

function sampled(shape: Shape): SampledShape {
  const bySteps = new Map<number, Samples>()
  const at: Complex = { re: 0, im: 0 }
  return {
    ...shape,
    samples(step, count) {
      let samples = bySteps.get(step)
      if (!samples) bySteps.set(step, (samples = { re: [], im: [] }))
      samplesKept += Math.max(0, count - samples.re.length)
      for (let k = samples.re.length; k < count; k++) {
        shape.characteristic((k + 0.5) * step, at)
        samples.re.push(at.re)
        if (!shape.symmetric) samples.im.push(at.im)
      }
      return samples
    },
  }
}
