import { expect, test } from '@jest/globals';
import { NOWHERE, placeWithin, readPlace, writtenPlace } from './textPlace';

test('a place is written and read again, each element where it stands furthest in', () => {
  const place = ['body', 'list', '', 'list', 'link'].reduce(
    (around, key) => placeWithin(around, key ? [key, ...(key === 'link' ? ['*bold'] : [])] : []),
    NOWHERE,
  );
  expect(writtenPlace(place)).toBe('link,*bold>list>body');
  expect(readPlace(writtenPlace(place))).toEqual(place);
  expect(readPlace(writtenPlace(NOWHERE))).toEqual(NOWHERE);
});
