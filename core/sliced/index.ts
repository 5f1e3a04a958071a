export { atOnce, type Sliced } from './sliced'
