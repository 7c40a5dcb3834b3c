const KEY = 'lettera:last-project';

/** The short name of the project that was open last in this browser. */
export const lastProject = (): string | null => localStorage.getItem(KEY);

export const rememberProject = (slug: string): void => localStorage.setItem(KEY, slug);
