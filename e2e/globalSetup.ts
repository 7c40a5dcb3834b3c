import { prepareData } from './lettera';

/** Before all browser tests. */
export default async function globalSetup(): Promise<void> {
  await prepareData();
}
