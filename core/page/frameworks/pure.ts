import { framework } from './framework';

export const pure = framework({
  name: 'Pure',
  package: 'purecss',
  sheet: 'build/pure.css',
  tellers: [
    '.pure-g',
    '.pure-button',
    '.pure-menu',
    '.pure-table',
    '.pure-form',
    '.pure-menu-link',
    '[class*="pure-u-"]',
  ],
  parts: [
    { name: 'Button', selectors: ['.pure-button'] },
    { name: 'Menu heading', selectors: ['.pure-menu-heading'] },
    { name: 'Menu item', selectors: ['.pure-menu-link'] },
    { name: 'Field label', selectors: ['.pure-form label'] },
    { name: 'Field hint', selectors: ['.pure-form-message'] },
    { name: 'Table', selectors: ['.pure-table'] },
    { name: 'Table heading', selectors: ['.pure-table thead'] },
  ],
  properties: {},
});
