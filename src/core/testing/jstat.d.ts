/** The statistics library brings no types; tests use one function of it. */
declare module 'jstat' {
  const library: { jStat: { normal: { inv: (p: number, mean: number, sd: number) => number } } };
  export default library;
}
