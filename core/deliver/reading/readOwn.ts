import { isPlainObject } from '../../document/decorators';
import type { ProjectDocument } from '../../document/projectDocument';
import { EXTENSION } from '../designTokens';
import type { ReadTokens, Unused } from './outcome';
import type { Token, TokenTree } from './tokenTree';

/** What Lettera has written beside a token. */
const ownOf = ({ extensions }: Token): Record<string, unknown> =>
  isPlainObject(extensions[EXTENSION]) ? extensions[EXTENSION] : {};

/** The tokens of a group by the last part of their path. */
const groupOf = (tree: TokenTree, group: string): [key: string, token: Token][] =>
  tree.tokens
    .filter(({ path }) => path.startsWith(`${group}.`))
    .map((token) => [token.path.slice(group.length + 1), token]);

/** Parts with their places, in the order in which they stand. */
const inOrder = (parts: [string, object][]): Record<string, object> =>
  Object.fromEntries(parts.map(([key, part], i) => [key, { ...part, place: i + 1 }]));

const counted = (of: number, one: string, more = `${one}s`): string =>
  `${of} ${of === 1 ? one : more}`;

/**
 * Reads back what Lettera wrote: voices, scale, colours, styles and elements take the place of the project's.
 * Families are found in the case by their names, since a file of tokens holds no fonts.
 */
export function readOwn(
  document: ProjectDocument,
  tree: TokenTree,
  own: Record<string, unknown>,
): ReadTokens {
  const unused: Unused[] = [];
  const familyCalled = (name: unknown): string | null =>
    Object.entries(document.case).find(([, family]) => family.name === name)?.[0] ?? null;
  /** The families of a voice's further scripts that are in the case; undefined where it has none. */
  const seatsOf = ({ path }: Token, seats: unknown): Record<string, object> | undefined => {
    if (!isPlainObject(seats)) return undefined;
    const found = Object.entries(seats).flatMap(([script, seat]): [string, object][] => {
      if (!isPlainObject(seat)) return [];
      const key = familyCalled(seat['family']);
      if (key !== null) return [[script, { ...seat, family: key }]];
      unused.push({
        path: `${path}.${script}`,
        why: `${String(seat['family'])} is not in the case: the voice stays without it`,
      });
      return [];
    });
    return found.length > 0 ? Object.fromEntries(found) : undefined;
  };
  const voices = groupOf(tree, 'font').map(([key, token]): [string, object] => {
    const { family: name, scripts: seats, ...rest } = ownOf(token);
    const family = familyCalled(name);
    const scripts = seatsOf(token, seats);
    if (typeof name === 'string' && family === null) {
      unused.push({
        path: token.path,
        why: `${name} is not in the case: the voice stays without it`,
      });
    }
    return [
      key,
      { name: token.description ?? key, family, ...rest, ...(scripts ? { scripts } : {}) },
    ];
  });
  const colours = groupOf(tree, 'colour').map(([key, token]): [string, object] => {
    const { light, dark } = ownOf(token);
    return [key, { name: token.description ?? key, light, dark }];
  });
  const styles = groupOf(tree, 'style').map(([key, token]): [string, object] => {
    const { follows = null, set = {}, narrow, at } = ownOf(token);
    const { description } = token;
    const differing = { ...(narrow ? { narrow } : {}), ...(at ? { at } : {}) };
    return [key, { name: description ?? key, follows, set, ...differing }];
  });
  const elements = isPlainObject(own['elements'])
    ? Object.entries(own['elements']).filter((entry): entry is [string, Record<string, unknown>] =>
        isPlainObject(entry[1]),
      )
    : [];
  const parts = {
    voices: inOrder(voices),
    scale: own['scale'],
    colours: inOrder(colours),
    styles: inOrder(styles),
    elements: inOrder(elements),
  };
  const beside = (['narrowBelow', 'widths', 'print', 'byLanguage'] as const).filter(
    (name) => own[name] !== undefined,
  );
  return {
    patch: [
      ...Object.entries(parts).map(([part, value]) => ({
        op: 'replace' as const,
        path: `/${part}`,
        value,
      })),
      ...beside.map((name) => ({ op: 'add' as const, path: `/${name}`, value: own[name] })),
      // Voices that were paired may be others now.
      ...(document.pair ? [{ op: 'remove' as const, path: '/pair' }] : []),
    ],
    used: [
      counted(voices.length, 'voice'),
      'the scale',
      counted(colours.length, 'colour'),
      counted(styles.length, 'text style'),
      counted(elements.length, 'text element'),
    ],
    unused,
  };
}
