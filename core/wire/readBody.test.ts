import { describe, expect, test } from '@jest/globals';
import { readBody } from '.';
import type { RequestName } from './requests';

const fault = (name: RequestName, sent: unknown) => {
  const read = readBody(name, sent);
  return 'fault' in read ? `${read.fault.path} ${read.fault.message}` : 'none';
};
const NAME = ' must be a text of 1 to 120 characters';
const face = { style: 'normal', weight: 400 };
const reference = {
  name: 'Keeper',
  stylesheet: 'https://type.tarnholm.example/s.css',
  class: 'serif',
  standIn: 'case/literata',
  faces: [face],
};

describe('what a request brings', () => {
  test('is had without the blanks around it, and without what is not asked for', () => {
    expect(readBody('NewProject', { name: ' Fog ', more: 1 })).toEqual({ body: { name: 'Fog' } });
    expect(readBody('WantedReference', reference)).toEqual({ body: reference });
    expect(readBody('Picks', { scripts: [], faces: [face] })).toEqual({
      body: { scripts: [], faces: [face] },
    });
  });

  test.each<[RequestName, unknown, string]>([
    ['NewProject', {}, `/name${NAME}`],
    ['NewProject', { name: '  ' }, `/name${NAME}`],
    ['NewProject', { name: 7 }, `/name${NAME}`],
    ['NewProject', { name: 'a'.repeat(120) }, 'none'],
    ['NewProject', { name: 'a'.repeat(121) }, `/name${NAME}`],
    ['NewProject', undefined, ' must have “name”'],
    ['NewProject', ['Fog'], ' must have “name”'],
    ['Picks', { scripts: 'latin', faces: [] }, '/scripts must be a list of 0 to 40'],
    ['Picks', { scripts: [7], faces: [] }, '/scripts/0 must be a text'],
    ['Picks', { scripts: [], faces: Array(41).fill(face) }, '/faces must be a list of 0 to 40'],
    ['Picks', { scripts: [], faces: Array(40).fill(face) }, 'none'],
    [
      'Picks',
      { scripts: [], faces: [{ ...face, weight: 0 }] },
      '/faces/0/weight must be a number of 1 to 1000',
    ],
    ['Picks', { scripts: [], faces: [{ ...face, weight: 1 }] }, 'none'],
    ['Picks', { scripts: [], faces: [{ ...face, weight: 1000 }] }, 'none'],
    [
      'Picks',
      { scripts: [], faces: [{ ...face, weight: 1001 }] },
      '/faces/0/weight must be a number of 1 to 1000',
    ],
    [
      'Picks',
      { scripts: [], faces: [{ ...face, weight: 400.5 }] },
      '/faces/0/weight must be a number of 1 to 1000',
    ],
    [
      'Picks',
      { scripts: [], faces: [{ ...face, style: 'oblique' }] },
      '/faces/0/style must be one of normal, italic',
    ],
    ['WantedReference', { ...reference, faces: [] }, '/faces must be a list of 1 to 40'],
    [
      'WantedReference',
      { ...reference, standIn: '../x' },
      '/standIn must be library/<id> or case/<key>',
    ],
    [
      'WantedReference',
      { ...reference, class: 'slab' },
      '/class must be one of serif, sans-serif, monospace, display, handwriting',
    ],
  ])('%s of %j is told what is wrong with it', (name, sent, says) =>
    expect(fault(name, sent)).toBe(says),
  );
});
