import { framework, TOKENS } from './framework';

export const pico = framework({
  name: 'Pico',
  package: '@picocss/pico',
  sheet: 'css/pico.css',
  tellers: [
    'button.outline',
    '[role="button"].outline',
    'main.container',
    'header.container',
    'footer.container',
    'details.dropdown',
    'button.contrast',
    'a.contrast',
    'button.secondary',
    'hgroup > p',
  ],
  parts: [
    { name: 'Button', selectors: ['button', '[role="button"]', '[type="submit"]'] },
    { name: 'Card heading', selectors: ['article > header'] },
    { name: 'Accordion heading', selectors: ['details > summary'] },
    { name: 'Navigation link', selectors: ['nav a'] },
    {
      name: 'Field',
      selectors: ['input:not([type="checkbox"], [type="radio"])', 'select', 'textarea'],
    },
    { name: 'Field label', selectors: ['label'] },
    { name: 'Field hint', selectors: [':where(input, select, textarea, fieldset) + small'] },
    { name: 'Legend', selectors: ['legend'] },
    { name: 'Heading group', selectors: ['hgroup > p'] },
  ],
  properties: {
    '--pico-font-family': TOKENS.text,
    '--pico-font-family-monospace': TOKENS.code,
  },
});
