import { PLATFORM_NAMES, type Audience } from './audience';
import { PLATFORMS, type LocalPlatform } from './localFonts';

/** Other words that lists of platforms use. */
const ALIASES: Readonly<Record<string, LocalPlatform>> = {
  win: 'windows',
  mac: 'macos',
  macosx: 'macos',
  osx: 'macos',
  macintosh: 'macos',
  iphone: 'ios',
  ipad: 'ios',
  ipados: 'ios',
  chrome: 'chromeos',
  chromeos: 'chromeos',
  gnulinux: 'linux',
  ubuntu: 'linux',
};

const platformNamed = (name: string): LocalPlatform | undefined => {
  const plain = name.toLowerCase().replace(/[^a-z]/g, '');
  return PLATFORMS.find((platform) => platform === plain) ?? ALIASES[plain];
};

/** Thousands parted by commas, as counts of visits are written; by points only where there are several. */
const THOUSANDS = /^\d{1,3}(?:(?:,\d{3})+(?:\.\d+)?|(?:\.\d{3}){2,}(?:,\d+)?)$/;

/** A share as people write it: `12.5`, `12,5 %`, or a count: `1,234`, `1 234`; NaN for anything else. */
function shareOf(text: string): number {
  const plain = text.replace(/[%\s]/g, '');
  if (THOUSANDS.test(plain)) {
    const [first = ','] = /[.,]/.exec(plain) ?? [];
    return Number(plain.replaceAll(first, '').replace(',', '.'));
  }
  const number = plain.replace(',', '.');
  return /^\d+(\.\d+)?$/.test(number) ? Number(number) : NaN;
}

/** What was read of a list of platforms, and what of it could not be used, in words. */
export interface ReadAudience {
  audience: Audience;
  notes: string[];
}

/** Longest list that is read, characters. */
const LONGEST = 100_000;

/**
 * Reads a mix of platforms from CSV (RFC 4180 without quotes inside fields): a platform and its share a line,
 * parted by comma, semicolon or tab. A comma parts columns only where there is no other sign that does, so
 * that decimal commas are read beside semicolons and tabs, and after quotes. A first line of headings is
 * passed over.
 *
 * @throws RangeError where nothing in it can be used, with what was wrong
 */
export function readAudience(csv: string): ReadAudience {
  if (csv.length > LONGEST) {
    throw new RangeError(
      'This list is longer than 100,000 characters, too long for a list of platforms.',
    );
  }
  const notes: string[] = [];
  const shares: Partial<Record<LocalPlatform, number>> = {};
  const lines = csv.split(/\r?\n/).filter((line) => line.trim());
  const unknown: string[] = [];
  let unknownShare = 0;
  lines.forEach((line, i) => {
    const [name = '', text = ''] = columnsOf(line);
    const share = shareOf(text);
    if (Number.isNaN(share)) {
      // A first line without a figure is one of headings.
      const isHeading = i === 0 && !/\d/.test(text);
      if (!isHeading) notes.push(`Line ${i + 1} was passed over: “${text}” is not a share.`);
      return;
    }
    const platform = platformNamed(name);
    if (platform) shares[platform] = (shares[platform] ?? 0) + share;
    else {
      unknown.push(name);
      unknownShare += share;
    }
  });
  const sum = Object.values(shares).reduce((total, share) => total + share, 0);
  if (sum <= 0) {
    throw new RangeError(
      `No line names a platform with a share. The columns are platform and share, the platforms ${PLATFORMS.map((key) => PLATFORM_NAMES[key]).join(', ')}.`,
    );
  }
  if (unknown.length > 0) {
    notes.push(
      `Which fonts ${unknown.join(', ')} carry is not known here; ${plain(unknownShare)} of the shares were left out.`,
    );
  }
  const whole = sum + unknownShare;
  const fractions = whole <= 1.02;
  if (Math.abs(fractions ? whole - 1 : whole - 100) > (fractions ? 0.005 : 0.5)) {
    notes.push(`The shares add up to ${plain(whole)}, not to 100; they count in proportion.`);
  }
  const audience = Object.fromEntries(
    Object.entries(shares).map(([platform, share]) => [
      platform,
      Math.round((share / sum) * 10_000) / 100,
    ]),
  );
  return { audience, notes };
}

const plain = (value: number): string => String(Number(value.toFixed(2)));

/** The name and the share of a line. */
function columnsOf(line: string): string[] {
  const separator = /[;\t]/.exec(line)?.[0];
  if (separator) return line.split(separator).map(unquoted);
  const quoted = /^\s*("[^"]*"|[^,"]*)\s*,\s*"?([^"]*?)"?\s*$/.exec(line);
  return [quoted?.[1] ?? '', quoted?.[2] ?? ''].map(unquoted);
}

const unquoted = (text: string): string =>
  text
    .trim()
    .replace(/^"(.*)"$/, '$1')
    .trim();
