import { IsIn, IsInt, IsNumber, Matches, Max, Min, ValidateBy } from 'class-validator';
import { KEY, MayBeLeftOut } from './decorators';
import { PROPERTIES, PROPERTY_NAMES, type Values } from './property';
import { lengthIn, settingsIn } from './property/written';
import { MOST_STEPS } from './scaleBounds';

const held = (name: string, message: string, holds: (value: unknown) => boolean) =>
  ValidateBy({ name, validator: { validate: holds, defaultMessage: () => message } });

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
    case 'length': {
      const { units, min, max } = values;
      const example = values.edges ? `1${units[0]} below` : `1.5${units[0]}`;
      const message = `must be a length from ${min} to ${max} in ${units.join(', ')}, such as ${example}`;
      return [held('length', message, (value) => lengthIn(value, values) !== null)];
    }
    case 'settings': {
      const message = values.whole
        ? 'must be OpenType tags of four letters, each once, such as “ss01, cv05 2”'
        : 'must be tags of axes, each once with a number, such as “GRAD 20”';
      return [held('settings', message, (value) => settingsIn(value, values) !== null)];
    }
  }
}

/** The properties of a text style that are set there, as they are validated; what is left out follows. */
export class StyleProperties {}

for (const name of PROPERTY_NAMES) {
  for (const decorate of [MayBeLeftOut(), ...bounds(PROPERTIES[name].values)]) {
    decorate(StyleProperties.prototype, name);
  }
}
