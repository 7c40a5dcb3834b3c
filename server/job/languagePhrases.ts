/** What is named in every language: countries, seas apart, their languages and what is paid with. */
const REGIONS =
  'IS NO SE DK FI IE GB FR DE NL BE CH AT IT ES PT PL CZ HU RO GR TR UA CA US MX BR JP IN ZA';
const LANGUAGES = 'is nb sv da fi ga en fr de nl it es pt pl cs hu ro el tr uk';
const CURRENCIES = 'EUR GBP USD ISK NOK SEK DKK CHF PLN CZK JPY';

/** Units as they stand in prices, timetables and weather reports (ECMA-402 §6.6). */
const UNITS = ['kilometer', 'meter', 'liter', 'hour', 'minute', 'degree', 'percent', 'celsius'];
const RELATIVE: readonly Intl.RelativeTimeFormatUnit[] = ['day', 'week', 'month', 'year'];
const MONTHS = 12;

/** Whether names are known in a language: otherwise another's would be given for its own. */
const known = (tag: string): boolean => {
  try {
    return Intl.DisplayNames.supportedLocalesOf(tag).length > 0;
  } catch {
    return false;
  }
};

/** Names of countries, languages and currencies in a language, by Unicode CLDR; none where it has none. */
export function namesIn(tag: string): string[] {
  if (!known(tag)) return [];
  const named = (type: 'region' | 'language' | 'currency', codes: string): string[] => {
    const names = new Intl.DisplayNames(tag, { type });
    return codes.split(' ').flatMap((code) => names.of(code) ?? []);
  };
  return [
    ...named('region', REGIONS),
    ...named('language', LANGUAGES),
    ...named('currency', CURRENCIES),
  ];
}

/** Dates in full, amounts with their units and times from now in a language, by Unicode CLDR. */
export function amountsIn(tag: string): string[] {
  if (!known(tag)) return [];
  const date = new Intl.DateTimeFormat(tag, { dateStyle: 'full', timeZone: 'UTC' });
  const dates = Array.from({ length: MONTHS }, (_, month) =>
    // Eleven days on each time, so that every weekday comes.
    date.format(new Date(Date.UTC(2026, month, 3 + ((month * 11) % 25)))),
  );
  const amounts = UNITS.map((unit, i) =>
    new Intl.NumberFormat(tag, { style: 'unit', unit, unitDisplay: 'long' }).format(3 + i * 14),
  );
  const relative = new Intl.RelativeTimeFormat(tag, { numeric: 'auto' });
  const times = RELATIVE.flatMap((unit) => [-3, -1, 1, 5].map((by) => relative.format(by, unit)));
  return [...dates, ...amounts, ...times];
}
