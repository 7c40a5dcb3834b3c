import type { Family } from './projectDocument';

/** The name that the site's CSS knows a family by: its alias, else its own. */
export const siteName = ({ alias, name }: Pick<Family, 'alias' | 'name'>): string => alias ?? name;
