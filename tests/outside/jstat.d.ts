declare module 'jstat' {
  const jstat: {
    studentt: { inv: (p: number, dof: number) => number; cdf: (x: number, dof: number) => number }
    beta: { inv: (p: number, alpha: number, beta: number) => number }
    normal: { cdf: (x: number, mean: number, std: number) => number }
  }
  export default jstat
}
