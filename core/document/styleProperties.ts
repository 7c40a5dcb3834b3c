import { IsIn, IsInt, IsNumber, Matches, Max, Min } from 'class-validator';
import { KEY, MayBeLeftOut } from './decorators';
import { PROPERTIES, PROPERTY_NAMES, type Values } from './property';
import { MOST_STEPS } from './scaleBounds';

/** What holds a value within what its property takes. */
function bounds(values: Values): PropertyDecorator[] {
  switch (values.kind) {
    case 'key':
      return [Matches(KEY, { message: `must be the key of one of the ${values.of}` })];
    case 'step':
      return [IsNumber(), Min(-MOST_STEPS), Max(MOST_STEPS)];
    case 'choice':
      return [IsIn(values.of)];
    case 'number':
      return [values.whole ? IsInt() : IsNumber(), Min(values.min), Max(values.max)];
  }
}

/** The properties of a text style that are set there, as they are validated; what is left out follows. */
export class StyleProperties {}

for (const name of PROPERTY_NAMES) {
  for (const decorate of [MayBeLeftOut(), ...bounds(PROPERTIES[name].values)]) {
    decorate(StyleProperties.prototype, name);
  }
}
