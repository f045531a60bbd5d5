/** The statistics library brings no types; tests use two functions of it. */
declare module 'jstat' {
  const library: {
    jStat: {
      binomial: { cdf: (k: number, n: number, p: number) => number };
      normal: { inv: (p: number, mean: number, sd: number) => number };
    };
  };
  export default library;
}
