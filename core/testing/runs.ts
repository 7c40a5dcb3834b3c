/** How many of so many runs of a property, or mutated files, are tried in every test run: the rest by `npm run fuzz`. */
const USUALLY = 200;

export const runs = (whole: number): number =>
  process.env['LETTERA_FUZZ'] === undefined ? Math.min(whole, USUALLY) : whole;
