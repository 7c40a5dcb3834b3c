import { PLATFORMS, type LocalPlatform } from './localFonts';

/** Shares of a site's visits by platform. Their sum counts as the whole. */
export type Audience = Readonly<Partial<Record<LocalPlatform, number>>>;

export const PLATFORM_NAMES: Readonly<Record<LocalPlatform, string>> = {
  windows: 'Windows',
  macos: 'macOS',
  ios: 'iOS',
  android: 'Android',
  chromeos: 'ChromeOS',
  linux: 'Linux',
};

/** Platforms by the names that people know. */
export const platformNames = (platforms: readonly LocalPlatform[]): string =>
  platforms.map((key) => PLATFORM_NAMES[key]).join(', ');

/**
 * The mix that a project begins with, per cent: our own round figures for a site that many read on phones,
 * and no measurement. A site's own figures take their place.
 */
export const DEFAULT_AUDIENCE: Readonly<Record<LocalPlatform, number>> = {
  windows: 32,
  macos: 11,
  ios: 22,
  android: 31,
  chromeos: 2,
  linux: 2,
};

/** Share of each platform, 0 to 1, together 1. */
export function sharesOf(audience: Audience = DEFAULT_AUDIENCE): Record<LocalPlatform, number> {
  const total = PLATFORMS.reduce((sum, platform) => sum + (audience[platform] ?? 0), 0);
  const given = total > 0 ? audience : DEFAULT_AUDIENCE;
  const whole = total > 0 ? total : 100;
  return Object.fromEntries(
    PLATFORMS.map((platform) => [platform, (given[platform] ?? 0) / whole]),
  ) as Record<LocalPlatform, number>;
}
