import { createContext, createSharedWork } from './core/context'
import { wantedStations } from './core/station'
import { bigReview } from './scripts/bench/bigReview'
const many = bigReview({
  sets: 200,
  readingsPerSet: 60,
  rulebookIds: ['us-amateur', 'itu-spurious', 'eu-land-mobile'],
})
const spin = () => {
  const t = performance.now()
  let x = 0
  for (let i = 0; i < 3e7; i++) x += i % 7
  return performance.now() - t
}
const run = (review: any, work: any) => {
  const context = createContext(review, work)
  let judged = 0
  for (const set of review.sets)
    for (const station of wantedStations(context))
      for (const step of station.plan(set, context))
        judged += station.evaluate(step, context).slots.filter((s: any) => s.found).length
  return judged
}
const N = Number(process.argv[2] ?? 12)
const all: number[] = [],
  norm: number[] = []
for (let i = 0; i < N; i++) {
  const s = spin()
  const f = performance.now()
  run(many, createSharedWork())
  const t = performance.now() - f
  all.push(t)
  norm.push((t / ((s + spin()) / 2)) * 75)
}
console.log(all.map(x => x.toFixed(0)).join(' '))
console.log(
  'normalised',
  norm
    .slice(3)
    .sort((a, b) => a - b)
    [(N - 3) >> 1]!.toFixed(0),
)
