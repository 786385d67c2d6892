declare module 'jstat' {
  export const jStat: {
    studentt: {
      inv: (p: number, freedom: number) => number;
      cdf: (x: number, freedom: number) => number;
    };
    noncentralt: { cdf: (x: number, freedom: number, away: number) => number };
    chisquare: { inv: (p: number, freedom: number) => number };
  };
}
