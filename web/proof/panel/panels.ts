import type { ProofPanel } from '../../store/proof';

/** What can be shown about the page beside it. */
export const PANELS: readonly { value: ProofPanel; label: string }[] = [
  { value: 'pages', label: 'Pages' },
  { value: 'account', label: 'Who sets its text' },
  { value: 'text', label: 'This text' },
  { value: 'moved', label: 'What moved' },
];
