/** Questions put to the server before whoever wants the answers has been loaded, by address. */
const asked = new Map<string, Promise<Response>>();

function ask(path: string): void {
  const answer = fetch(path, { credentials: 'same-origin' });
  // Whoever takes it deals with a failure; if nobody does, nothing is lost.
  answer.catch(() => undefined);
  asked.set(path, answer);
}

/** Asks for the project that an address is about, while the code that shows it is on its way. */
export function askAhead(pathname: string): void {
  const [, project] = /^\/p\/([^/]+)/.exec(pathname) ?? [];
  if (!project) return;
  ask(`/api/v1/projects/${project}`);
  ask(`/api/v1/projects/${project}/pages`);
}

/** The answer to a question that was put ahead, once. */
export function takeAhead(path: string): Promise<Response> | undefined {
  const answer = asked.get(path);
  asked.delete(path);
  return answer;
}
