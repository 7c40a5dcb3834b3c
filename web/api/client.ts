import { client as say } from './words';
import type { LibraryFamily, Patch, ProjectDocument } from '@lettera/core/document';
import type { FallbackTrials, LocalReading, TunedFace } from '@lettera/core/fallback';
import type { FaceReading, Instance } from '@lettera/core/font';
import type { FaceMeasures, FamilyMeasures, FamilySheet } from '@lettera/core/measure';
import type {
  AllowedHost,
  BroughtPages,
  Change,
  KeptStock,
  LiveReading,
  LiveState,
  LookedPages,
  PageAccount,
  DeliveryEvidence,
  DeliveryFile,
  HistoryEntry,
  LanguageText,
  LibraryDetails,
  LibraryProgress,
  MeasuredLocal,
  MeasuredFile,
  PageTitle,
  ProblemDetails,
  Project,
  ProjectSummary,
  RequestBody,
  Revision,
  Session,
  TakenFile,
  TwinScripts,
  VisitState,
  MadeDelivery,
  Waypoint,
  WaypointState,
} from '@lettera/core/wire';
import { takeAhead } from './ahead';
import { signedOut } from './session';

/** A refusal by the server, in its own words. */
export class ApiError extends Error {
  override readonly name = 'ApiError';

  constructor(
    readonly status: number,
    /** Whatever the answer held of problem details. */
    readonly problem: Partial<ProblemDetails>,
  ) {
    super(problem.detail ?? problem.title ?? say.serverAnswered(status));
  }
}

/** The server did not answer at all. */
export class OfflineError extends Error {
  override readonly name = 'OfflineError';

  constructor() {
    super(say.letterasServerDoesNot);
  }
}

export const API = '/api/v1';

async function send(path: string, init: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    const ahead = init.method === undefined ? takeAhead(API + path) : undefined;
    response = await (ahead ?? fetch(API + path, { credentials: 'same-origin', ...init }));
  } catch (error) {
    if (init.signal?.aborted) throw error;
    throw new OfflineError();
  }
  if (response.ok) return response;
  if (response.status === 401) signedOut.value = true;
  const problem = (await response.json().catch(() => ({}))) as Partial<ProblemDetails>;
  throw new ApiError(response.status, problem);
}

async function get<T>(path: string): Promise<T> {
  return (await (await send(path)).json()) as T;
}

async function sendJson<T>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
  signal?: AbortSignal,
): Promise<T> {
  const response = await send(path, {
    method,
    signal,
    headers: { 'Content-Type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return (response.status === 204 ? undefined : await response.json()) as T;
}

/** Sends files with their paths. */
async function sendFiles(
  path: string,
  files: readonly { path: string; content: Blob }[],
  signal?: AbortSignal,
): Promise<unknown> {
  const body = new FormData();
  for (const { path: name, content } of files) body.append('file', content, name);
  return (await send(path, { method: 'POST', body, signal })).json();
}

const project = (id: string): string => `/projects/${encodeURIComponent(id)}`;
const libraryFamily = (id: string, family: string): string =>
  `${project(id)}/foundry/families/${encodeURIComponent(family)}`;
const pointOf = (instance: Instance): string =>
  new URLSearchParams(
    Object.entries(instance).map(([tag, value]) => [tag, String(value)]),
  ).toString();
const ifMatch = (revision: number) => ({ 'If-Match': `"${revision}"` });
/** A change is answered with what it changed, and not with the whole project. RFC 7240 §4.2. */
const changeOf = (revision: number) => ({ ...ifMatch(revision), Prefer: 'return=minimal' });

/** The server, as the web application sees it: one function a request. */
export const api = {
  session: () => get<Session>('/session'),
  signIn: (token: string) =>
    sendJson<Session>('POST', '/session', { token } satisfies RequestBody<'SignIn'>),
  signOut: () => sendJson<void>('DELETE', '/session'),

  projects: () => get<ProjectSummary[]>('/projects'),
  createProject: (name: string) =>
    sendJson<Project>('POST', '/projects', { name } satisfies RequestBody<'NewProject'>),
  removeProject: (id: string) => sendJson<void>('DELETE', project(id)),
  project: (id: string) => get<Project>(project(id)),
  /** Changes a project, and gives what the change made of it as it was before. */
  change: (id: string, revision: number, patch: Patch) =>
    sendJson<Change>('PATCH', project(id), patch, {
      'Content-Type': 'application/json-patch+json',
      ...changeOf(revision),
    }),
  undo: (id: string, revision: number) =>
    sendJson<Change>('POST', `${project(id)}/undo`, undefined, changeOf(revision)),
  redo: (id: string, revision: number) =>
    sendJson<Change>('POST', `${project(id)}/redo`, undefined, changeOf(revision)),

  /** What was changed, newest first. */
  history: (id: string, limit = 50) => get<HistoryEntry[]>(`${project(id)}/changes?limit=${limit}`),
  revision: (id: string, revision: number) => get<Revision>(`${project(id)}/revisions/${revision}`),
  waypoints: (id: string) => get<Waypoint[]>(`${project(id)}/waypoints`),
  nameWaypoint: (id: string, name: string) =>
    sendJson<Waypoint>('POST', `${project(id)}/waypoints`, {
      name,
    } satisfies RequestBody<'WaypointName'>),
  waypoint: (id: string, waypoint: string) =>
    get<WaypointState>(`${project(id)}/waypoints/${waypoint}`),
  renameWaypoint: (id: string, waypoint: string, name: string) =>
    sendJson<void>('PUT', `${project(id)}/waypoints/${waypoint}`, {
      name,
    } satisfies RequestBody<'WaypointName'>),
  removeWaypoint: (id: string, waypoint: string) =>
    sendJson<void>('DELETE', `${project(id)}/waypoints/${waypoint}`),
  returnTo: (id: string, waypoint: string, revision: number) =>
    sendJson<Project>(
      'POST',
      `${project(id)}/waypoints/${waypoint}/return`,
      undefined,
      ifMatch(revision),
    ),
  languageText: (tag: string) => get<LanguageText>(`/languages/${encodeURIComponent(tag)}/text`),

  pages: (id: string) => get<PageTitle[]>(`${project(id)}/pages`),
  pageAccount: (id: string, slug: string, { site, path }: { site: string; path: string }) =>
    get<PageAccount>(
      `${project(id)}/pages/${encodeURIComponent(slug)}/account?${new URLSearchParams({ site, path })}`,
    ),
  async bringPages(
    id: string,
    files: readonly { path: string; content: Blob }[],
    signal?: AbortSignal,
  ): Promise<BroughtPages> {
    return (await sendFiles(`${project(id)}/pages`, files, signal)) as BroughtPages;
  },
  /** Reads pages without making them a part of the project. */
  async lookAtPages(
    id: string,
    files: readonly { path: string; content: Blob }[],
    signal?: AbortSignal,
  ): Promise<LookedPages> {
    return (await sendFiles(`${project(id)}/looked`, files, signal)) as LookedPages;
  },
  stock: (id: string) => get<KeptStock>(`${project(id)}/stock`),
  keepStock: (id: string, pages: KeptStock['pages']) =>
    sendJson<KeptStock>('PUT', `${project(id)}/stock`, {
      pages,
    } satisfies RequestBody<'PagesOfStock'>),
  forgetStock: (id: string) => sendJson<void>('DELETE', `${project(id)}/stock`),
  allowedHosts: (id: string) => get<AllowedHost[]>(`${project(id)}/hosts`),
  allowHost: (id: string, host: string, allowedBy: string) =>
    sendJson<AllowedHost[]>('PUT', `${project(id)}/hosts/${encodeURIComponent(host)}`, {
      allowedBy,
    } satisfies RequestBody<'HostPermission'>),
  withdrawHost: (id: string, host: string) =>
    sendJson<AllowedHost[]>('DELETE', `${project(id)}/hosts/${encodeURIComponent(host)}`),
  live: (id: string) => get<LiveState>(`${project(id)}/live`),
  wantLive: (id: string, wish: RequestBody<'LiveWish'>) =>
    sendJson<LiveState>('PUT', `${project(id)}/live`, wish),
  endLive: (id: string) => sendJson<LiveState>('DELETE', `${project(id)}/live`),
  /** Shows on the running site what is looked at here. */
  lookLive: (id: string, look: RequestBody<'LiveLook'>) =>
    sendJson<void>('PUT', `${project(id)}/live/look`, look),
  liveReadings: (id: string) => get<LiveReading[]>(`${project(id)}/live/readings`),
  async liveReading(id: string, address: string): Promise<Blob> {
    const path = `${project(id)}/live/readings/file?${new URLSearchParams({ address })}`;
    return (await send(path)).blob();
  },
  forgetLiveReadings: (id: string, address?: string) =>
    sendJson<LiveReading[]>(
      'DELETE',
      `${project(id)}/live/readings${address === undefined ? '' : `?${new URLSearchParams({ address })}`}`,
    ),
  visits: (id: string) => get<VisitState>(`${project(id)}/visits`),
  countVisits: (id: string) => sendJson<VisitState>('PUT', `${project(id)}/visits`),
  forgetVisits: (id: string) => sendJson<VisitState>('DELETE', `${project(id)}/visits`),
  /** Has a page fetched to be looked at. */
  lookAtAddress: (
    id: string,
    { address, headers }: RequestBody<'PageAddress'>,
    signal?: AbortSignal,
  ) =>
    sendJson<LookedPages>(
      'POST',
      `${project(id)}/looked/address`,
      (headers?.length ? { address, headers } : { address }) satisfies RequestBody<'PageAddress'>,
      {},
      signal,
    ),
  fallbacks: (id: string) => get<FallbackTrials>(`${project(id)}/fallbacks`),
  stopFitting: (id: string) => sendJson<void>('DELETE', `${project(id)}/fallbacks/fitting`),
  stopMaking: (id: string) => sendJson<void>('DELETE', `${project(id)}/delivery/making`),
  fallbacksAfter: (id: string, patch: Patch) =>
    sendJson<FallbackTrials>('POST', `${project(id)}/fallbacks`, patch),
  fallbackCurve: (id: string, voice: string, local: string) =>
    get<(TunedFace | null)[]>(
      `${project(id)}/fallbacks/${encodeURIComponent(voice)}/${encodeURIComponent(local)}/curve`,
    ),
  measuredLocals: (id: string) => get<MeasuredLocal[]>(`${project(id)}/local-fonts`),
  keepLocalReadings: (id: string, readings: LocalReading[]) =>
    sendJson<MeasuredLocal[]>('POST', `${project(id)}/local-fonts`, readings),
  twins: () => get<TwinScripts>('/local-fonts'),
  delivery: (id: string) => get<DeliveryFile[]>(`${project(id)}/delivery`),
  /** Bytes of the font files after each of several changes, none of which is made. */
  bytesAfter: (id: string, changes: Patch[], signal?: AbortSignal) =>
    sendJson<number[]>('POST', `${project(id)}/delivery/bytes`, changes, {}, signal),
  /** Deliveries that were taken away, newest first. */
  deliveries: (id: string) => get<MadeDelivery[]>(`${project(id)}/deliveries`),
  keepDelivery: (id: string) => sendJson<MadeDelivery>('POST', `${project(id)}/deliveries`, {}),
  deliveredFiles: (id: string, revision: number) =>
    get<DeliveryFile[]>(`${project(id)}/deliveries/${revision}`),
  deliveryEvidence: (id: string) => get<DeliveryEvidence>(`${project(id)}/delivery/evidence`),

  allowFoundry: (id: string, allowedBy: string) =>
    sendJson<Project>('PUT', `${project(id)}/foundry`, {
      allowedBy,
    } satisfies RequestBody<'FoundryPermission'>),
  withdrawFoundry: (id: string) => sendJson<Project>('DELETE', `${project(id)}/foundry`),
  library: (id: string) => get<LibraryFamily[]>(`${project(id)}/foundry/families`),
  take: (id: string, family: string, picks: RequestBody<'Picks'>, signal?: AbortSignal) =>
    sendJson<Project>('POST', libraryFamily(id, family), picks, {}, signal),
  libraryDetails: (id: string, family: string) => get<LibraryDetails>(libraryFamily(id, family)),
  librarySheet: (id: string, family: string) =>
    get<FamilySheet>(`${libraryFamily(id, family)}/sheet`),
  libraryFileMeasures: (id: string, family: string, name: string, instance: Instance) =>
    get<FaceMeasures>(
      `${libraryFamily(id, family)}/files/${encodeURIComponent(name)}/measures?${pointOf(instance)}`,
    ),
  libraryMeasures: (id: string, after: number) =>
    get<LibraryProgress>(`${project(id)}/foundry/measures?after=${after}`),
  startMeasuring: (id: string) =>
    sendJson<LibraryProgress>('POST', `${project(id)}/foundry/measures`),
  stopMeasuring: (id: string) => sendJson<void>('DELETE', `${project(id)}/foundry/measures`),
  takeReference: (id: string, wanted: RequestBody<'WantedReference'>) =>
    sendJson<Project>('POST', `${project(id)}/references`, wanted),

  readings: (id: string) => get<FaceReading[]>(`${project(id)}/fonts`),
  caseMeasures: (id: string) =>
    get<Record<string, FamilyMeasures | null>>(`${project(id)}/case/measures`),
  caseSheet: (id: string, key: string) =>
    get<FamilySheet>(`${project(id)}/case/${encodeURIComponent(key)}/sheet`),
  fontMeasures: (id: string, sha256: string, instance: Instance) =>
    get<FaceMeasures>(`${project(id)}/fonts/${sha256}/measures?${pointOf(instance)}`),

  /** @param ranges what characters files are for, by their names, where they are parts of a face */
  async upload(
    id: string,
    files: File[],
    signal?: AbortSignal,
    ranges: Readonly<Record<string, string>> = {},
  ): Promise<TakenFile[]> {
    const body = new FormData();
    if (Object.keys(ranges).length > 0) body.append('ranges', JSON.stringify(ranges));
    for (const file of files) body.append('file', file);
    const response = await send(`${project(id)}/fonts`, { method: 'POST', body, signal });
    return (await response.json()) as TakenFile[];
  },
  /** Makes a project of a project file. */
  async openProjectFile(file: File, signal?: AbortSignal): Promise<Project> {
    const body = new FormData();
    body.append('file', file);
    const response = await send('/projects/opened', { method: 'POST', body, signal });
    return (await response.json()) as Project;
  },
  async measureFile(id: string, file: File): Promise<MeasuredFile> {
    const body = new FormData();
    body.append('file', file);
    const response = await send(`${project(id)}/measures`, { method: 'POST', body });
    return (await response.json()) as MeasuredFile;
  },
};

/** Addresses that the page itself loads from. */
export const urls = {
  font: (id: string, sha256: string) => `${API}${project(id)}/fonts/${sha256}`,
  libraryFont: (id: string, family: string, name: string) =>
    `${API}${project(id)}/foundry/families/${encodeURIComponent(family)}/files/${encodeURIComponent(name)}`,
  localFont: (key: string, variant: string, script: string) =>
    `${API}/local-fonts/${key}/${variant}/${script}.woff2`,
  page: (id: string, slug: string) => `${API}${project(id)}/pages/${encodeURIComponent(slug)}`,
  /** A page of the site's own, with its style sheets as they stand beside the project's. */
  ownPage: (
    id: string,
    slug: string,
    { site, path }: { site: string; path: string },
    { linked, siteLayer }: Pick<ProjectDocument['delivery'], 'linked' | 'siteLayer'>,
  ) => {
    const asked = new URLSearchParams({
      site,
      path,
      ...(linked === 'after' ? { linked } : {}),
      ...(siteLayer ? { layer: siteLayer } : {}),
    });
    return `${urls.page(id, slug)}?${asked}`;
  },
  /** A file of the bundle of a revision as a site would serve it. */
  deliveredFile: (id: string, revision: number, path: string) =>
    `${API}${project(id)}/delivery/${revision}/files/${path}`,
  projectFile: (id: string) => `${API}${project(id)}/project-file`,
  bundle: (id: string) => `${API}${project(id)}/bundle.zip`,
  deliveredBundle: (id: string, revision: number) =>
    `${API}${project(id)}/deliveries/${revision}/bundle.zip`,
  events: (id: string) => `${API}${project(id)}/events`,
};
