import { describe, expect, test } from '@jest/globals';
import { newDocument } from './newDocument';
import { onceForParts } from './onceForParts';
import type { ProjectDocument } from './projectDocument';

describe('a function of parts of a project', () => {
  const project = newDocument('Tarnholm');
  const changed = (parts: Partial<ProjectDocument>): ProjectDocument => ({ ...project, ...parts });
  let made = 0;
  const counted = onceForParts(['styles', 'elements'], ({ styles, elements }) => {
    made++;
    return `${Object.keys(styles).length} ${Object.keys(elements).length}`;
  });

  test('is worked out once, whatever else changes', () => {
    const first = counted(changed({}));
    made = 0;
    expect(counted(changed({ name: 'Keeper’s log' }))).toBe(first);
    expect(counted(changed({ scale: { ...project.scale } }))).toBe(first);
    expect(made).toBe(0);
  });

  test.each(['styles', 'elements'] as const)(
    'is worked out anew where its %s are others',
    (part) => {
      counted(project);
      made = 0;
      expect(counted(changed({ [part]: {} }))).toMatch(part === 'styles' ? /^0 / : / 0$/);
      expect(made).toBe(1);
      counted(project);
      expect(made).toBe(1);
    },
  );
});
