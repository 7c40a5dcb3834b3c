import { panels as say } from './words';
import type { ProofPanel } from '../../store/proof';

/** What can be shown about the page beside it. */
export const PANELS: readonly { value: ProofPanel; label: string }[] = [
  { value: 'pages', label: say.pages },
  { value: 'account', label: say.whoSetsText },
  { value: 'text', label: say.thisText },
  { value: 'moved', label: say.whatMoved },
  { value: 'running', label: say.runningSite },
];
