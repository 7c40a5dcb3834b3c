import { startLettera } from '../e2e/lettera';
import { summarise, time, type Row } from './timing';

const CLIENTS = 50;
const REQUESTS_EACH = 6;

const ROUTES = [
  ['what is delivered', 'delivery'],
  ['the bundle', 'bundle.zip'],
  ['the project', ''],
] as const;

/**
 * Asks for what a project delivers by many clients at once, from the first request after a change on. The
 * server has delivered before: what a first delivery costs stands in the row of making a bundle.
 */
export async function manyClients(): Promise<Row[]> {
  const lettera = await startLettera();
  const address = `${lettera.url}/api/v1/projects/tarnholm-light`;
  const rows: Row[] = [];
  const fetched = async (url: string, init?: RequestInit) => {
    const response = await fetch(url, init);
    if (!response.ok) throw new Error(`${response.status}`);
    return response.arrayBuffer();
  };
  let revision = 1;
  await fetched(`${address}/bundle.zip`);
  for (const [what, path] of ROUTES) {
    await fetched(address, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision++}"` },
      body: JSON.stringify([
        { op: 'replace', path: '/scale/large/base', value: 19 + revision / 10 },
      ]),
    });
    const ask = () => fetched(path ? `${address}/${path}` : address);
    const samples = (
      await Promise.all(Array.from({ length: CLIENTS }, () => time(REQUESTS_EACH, ask)))
    ).flat();
    rows.push(summarise(`${CLIENTS} clients after a change: ${what}`, samples, 500));
  }
  await lettera.close();
  return rows;
}
