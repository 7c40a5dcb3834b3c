export function loadedPackages(): Record<string, string>;
