import { framework } from './framework';

export const primer = framework({
  name: 'Primer',
  package: '@primer/css',
  sheet: 'dist/primer.css',
  tellers: [
    '.Header-item',
    '.Counter',
    '.SideNav',
    '.markdown-body',
    '.btn-invisible',
    '.branch-name',
    '.Toast',
    '.color-fg-muted',
    '[data-color-mode]',
  ],
  parts: [
    { name: 'Button', selectors: ['.btn'] },
    { name: 'Link button', selectors: ['.btn-link'] },
    { name: 'Counter', selectors: ['.Counter'] },
    { name: 'Navigation link', selectors: ['.Header-link'] },
    { name: 'Side navigation', selectors: ['.SideNav-item'] },
    { name: 'Page number', selectors: ['.pagination a'] },
    { name: 'Field', selectors: ['.form-control', '.form-select'] },
    { name: 'Field hint', selectors: ['.note'] },
    { name: 'Branch', selectors: ['.branch-name'] },
    { name: 'Lead', selectors: ['.lead'] },
    { name: 'Toast', selectors: ['.Toast-content'] },
    { name: 'Article', selectors: ['.markdown-body'] },
  ],
  properties: {},
});
