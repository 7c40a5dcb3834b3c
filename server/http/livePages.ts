import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router, type RequestHandler } from 'express';
import rateLimit from 'express-rate-limit';
import { readBody, type LiveKinds, type LiveTold } from '@lettera/core/wire';
import { webFolder } from '../folders';
import type { Services } from '../services';
import { TooMuchReadError, type KeptSheet } from '../store/liveStore';
import { kept, Problem } from './problem';
import { liveProofRoutes } from './liveProof';
import { ownOrigin } from './security';

/** Programs for pages of the site: they hold nothing of a project. */
const PROGRAMS = ['lettera.js', 'tools.js'] as const;
const HEARTBEAT = 15_000;
/** Pages that follow one sheet at a time. */
const MOST_FOLLOWERS = 60;
const MINUTE = 60_000;
/** Requests a minute: of one address with keys that are not good, and by one key for what pages say and send. */
const LIMITS = { wrong: 60, asked: 3000, said: 300, read: 30 };
const LARGEST_SAID = '64kb';
const LARGEST_READING = 9 * 1024 * 1024;
/** How long refusals are gathered before they are noted, milliseconds. */
const NOTED_AFTER = 500;
const LONGEST_ADDRESS = 2000;

const tooOften = (): never => {
  throw new Problem('too-many-requests', 'Too many requests. Wait a minute.');
};

/** Requests that are counted by the key that they come with. */
const limited = (limit: number): RequestHandler =>
  rateLimit({
    windowMs: MINUTE,
    limit,
    keyGenerator: (request) => String(request.params['key']),
    legacyHeaders: false,
    handler: tooOften,
  });

/** The engine of a browser, by what it says of itself. */
const engineOf = (agent = ''): string =>
  /Firefox\//.test(agent) ? 'Firefox' : /Chrom(e|ium)\//.test(agent) ? 'Chromium' : 'WebKit';

/** An address without what may tell of a person: its query and fragment. */
const plainAddress = (address: unknown): string => {
  const given = typeof address === 'string' ? address.slice(0, LONGEST_ADDRESS) : '';
  if (!URL.canParse(given)) return '';
  const { origin, pathname } = new URL(given);
  return origin === 'null' ? '' : origin + pathname;
};

interface Sent {
  format: unknown;
  version: unknown;
  address: unknown;
  title: unknown;
  html: unknown;
  sheets: unknown;
  views: unknown;
}

/** What a text holds as JSON; null where it is none. */
function sentIn(text: string): Sent | null {
  try {
    return JSON.parse(text) as Sent | null;
  } catch {
    return null;
  }
}

/** What a page sends as what the reader gave of it, as far as it is kept by. @throws Problem 400 */
function readingIn(text: string): {
  address: string;
  title: string;
  widths: number[];
  texts: number;
} {
  const refused = (): never => {
    throw new Problem('bad-request', 'This is not what the reader gives of a page.');
  };
  const sent = sentIn(text);
  if (typeof sent !== 'object' || sent === null) return refused();
  const { format, version, html, sheets, views, title } = sent;
  if (format !== 'lettera-reading' || version !== 1) return refused();
  if (typeof html !== 'string' || !Array.isArray(sheets) || !Array.isArray(views)) return refused();
  const read = views.map((view: { width?: unknown; texts?: unknown } | null) => ({
    width: Number(view?.width),
    texts: Array.isArray(view?.texts) ? view.texts.length : 0,
  }));
  const isWhole = read.every(({ width }) => Number.isInteger(width) && width > 0 && width < 20_000);
  const address = plainAddress(sent.address);
  if (!isWhole || read.length === 0 || read.length > 40 || !address) return refused();
  return {
    address,
    title: typeof title === 'string' ? title.slice(0, 200) : '',
    widths: read.map(({ width }) => width),
    texts: Math.max(...read.map(({ texts }) => texts)),
  };
}

/**
 * What pages of the running site have of a project, by a key that was given to them: its style sheet in its present
 * form with the fonts that this names, and the small talk of pointing. Nothing here gives the project, its history or
 * the files as they were taken in, and nothing here changes it. What pages say is data of a stranger.
 */
export function livePageRoutes(
  services: Pick<Services, 'projects' | 'pages' | 'sites' | 'liveStore' | 'liveSheets'>,
  ending: AbortSignal,
): Router {
  const { liveStore, liveSheets } = services;
  const router = Router();
  const folder = webFolder();
  const programs = new Map(
    PROGRAMS.flatMap((name) => {
      const at = folder && join(folder, 'live', name);
      return at && existsSync(at) ? [[name, readFileSync(at, 'utf8')] as const] : [];
    }),
  );

  const wrongKeys = rateLimit({
    windowMs: MINUTE,
    limit: LIMITS.wrong,
    legacyHeaders: false,
    handler: tooOften,
  });

  /** Refusals that are still to be noted, by key. */
  const refusals = new Map<string, { sheet: KeptSheet; times: number; from: string }>();
  const note = (): void => {
    for (const [key, { sheet, times, from }] of refusals) {
      refusals.delete(key);
      liveStore
        .noteRefused(key, times, from)
        .then(() => liveSheets.tell(sheet.projectId, { kind: 'changed' }))
        .catch(() => undefined);
    }
  };
  const refuse = (sheet: KeptSheet, from: string, why: string): never => {
    const known = refusals.get(sheet.key);
    if (!known) setTimeout(note, NOTED_AFTER).unref();
    refusals.set(sheet.key, { sheet, times: (known?.times ?? 0) + 1, from });
    throw new Problem('foreign-request', why);
  };

  const sheets = new WeakMap<object, KeptSheet>();
  const sheetOf = (request: object): KeptSheet => {
    const sheet = sheets.get(request);
    if (!sheet) throw new Problem('not-found', 'There is no such live sheet.');
    return sheet;
  };

  /** Lets in whoever comes with a key that is good, from a site that the designer has named. */
  router.use('/:key', async (request, response, next) => {
    response.set({ 'Cross-Origin-Resource-Policy': 'cross-origin', 'Cache-Control': 'no-store' });
    response.vary('Origin');
    const { key } = request.params;
    const { origin } = request.headers;
    // A refusal is read by whoever it is given to: it holds nothing else.
    if (origin !== undefined) response.set('Access-Control-Allow-Origin', origin);
    const sheet = key.length < 100 ? await liveStore.byKey(key) : null;
    if (!sheet) {
      wrongKeys(request, response, (error?: unknown) => {
        next(error ?? new Problem('not-found', 'There is no such live sheet, or it was ended.'));
      });
      return;
    }
    const { 'sec-fetch-site': site, 'sec-fetch-dest': destination } = request.headers;
    const isProgram = PROGRAMS.some((name) => request.path === `/${name}`);
    const isOwn = origin === ownOrigin(request) || (origin === undefined && site === 'same-origin');
    const opensProof =
      origin === undefined && request.method === 'GET' && request.path.startsWith('/proof');
    if (origin !== undefined && sheet.origins.includes(origin)) {
      if (request.method === 'OPTIONS') {
        response
          .set({
            'Access-Control-Allow-Methods': 'GET, POST',
            'Access-Control-Allow-Headers': 'Content-Type',
            'Access-Control-Max-Age': '600',
            // A page of the network asks first whether this machine will have it. Private Network Access §3.
            ...(request.get('Access-Control-Request-Private-Network')
              ? { 'Access-Control-Allow-Private-Network': 'true' }
              : {}),
          })
          .status(204)
          .end();
        return;
      }
    } else if (opensProof) {
      // Where a device asks over plain http, its browser says nothing of where it comes from.
      response.set('Cross-Origin-Resource-Policy', 'same-origin');
    } else if (!isOwn && !isProgram) {
      const from = origin ?? request.get('Referer')?.slice(0, 200) ?? destination ?? 'no page';
      refuse(
        sheet,
        from.slice(0, 300),
        origin === undefined
          ? 'The live sheet is given to pages that say where they are: link it with crossorigin.'
          : `${origin} is not named in Lettera among the places where the site runs.`,
      );
    }
    sheets.set(request, sheet);
    next();
  });
  router.use('/:key', limited(LIMITS.asked));

  router.get('/:key{/proof}/lettera.css', async (request, response) => {
    response.type('css').send(await liveSheets.css(sheetOf(request).projectId));
  });

  router.get('/:key{/proof}/fonts/:name', async (request, response) => {
    const { projectId } = sheetOf(request);
    const bytes = await liveSheets.file(projectId, request.params.name);
    if (!bytes) throw new Problem('not-found', 'The live sheet names no such file.');
    // Its name is made of what it holds.
    response.set('Cache-Control', 'public, max-age=31536000, immutable');
    response.type('woff2').send(Buffer.from(bytes));
  });

  for (const name of PROGRAMS) {
    router.get(`/:key{/proof}/${name}`, (_request, response) => {
      const program = programs.get(name);
      if (program === undefined) throw new Problem('not-found', 'This Lettera is not built.');
      response.type('js').send(program);
    });
  }

  router.use('/:key/proof', liveProofRoutes(services, sheetOf));

  router.get('/:key{/proof}/kinds', async (request, response) => {
    const document = await liveSheets.document(sheetOf(request).projectId);
    if (!document) throw new Problem('not-found', 'There is no such project.');
    const { weight, leave } = document.delivery;
    const kinds: LiveKinds = {
      elements: Object.fromEntries(
        Object.entries(document.elements).map(([key, element]) => [
          key,
          {
            name: element.name,
            style: element.style,
            selectors: element.selectors,
            ...(element.weight ? { weight: element.weight } : {}),
          },
        ]),
      ),
      styles: Object.fromEntries(
        Object.entries(document.styles).map(([key, { name }]) => [key, name]),
      ),
      delivery: { ...(weight ? { weight } : {}), ...(leave ? { leave } : {}) },
    };
    response.json(kinds);
  });

  router.get('/:key{/proof}/events', async (request, response) => {
    const { key, projectId } = sheetOf(request);
    if (liveSheets.pages(projectId).length >= MOST_FOLLOWERS) {
      throw new Problem('busy', `${MOST_FOLLOWERS} pages follow this sheet already.`);
    }
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    const send = (name: string, data: object, id?: string): void => {
      if (response.writableEnded) return;
      const named = id === undefined ? '' : `id: ${id}\n`;
      response.write(`${named}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
    };
    response.write('retry: 1000\n\n');
    const end = () => response.end();
    const known = request.get('Last-Event-ID') ?? request.query['known'];
    const stop = await liveSheets.follow(
      projectId,
      {
        sheet: (message) => send('sheet', message, message.id),
        shown: (message) => send('shown', message),
        ended() {
          send('ended', {});
          end();
        },
      },
      {
        address: plainAddress(request.query['page']),
        engine: engineOf(request.get('User-Agent')),
      },
      typeof known === 'string' ? known : null,
    );
    const heartbeat = setInterval(() => {
      response.write(': still here\n\n');
      liveStore.byKey(key).then((sheet) => sheet ?? end(), end);
    }, HEARTBEAT).unref();
    ending.addEventListener('abort', end);
    const gone = () => {
      stop();
      clearInterval(heartbeat);
      ending.removeEventListener('abort', end);
    };
    if (response.closed) gone();
    else response.on('close', gone);
  });

  router.post(
    '/:key{/proof}/said',
    limited(LIMITS.said),
    express.json({ limit: LARGEST_SAID, type: () => true }),
    async (request, response) => {
      const { projectId } = sheetOf(request);
      const kind: unknown = (request.body as { kind?: unknown } | null)?.kind;
      const name = { pointed: 'PointedText', swapped: 'RehearsedSwap' } as const;
      if (kind !== 'pointed' && kind !== 'swapped') {
        throw new Problem('bad-request', 'A page says what was pointed at, or what a swap moved.');
      }
      const read = readBody(name[kind], request.body);
      if ('fault' in read) {
        const { path, message } = read.fault;
        throw new Problem('invalid-change', `${path || 'It'} ${message}.`);
      }
      const told = { ...read.body, address: plainAddress(read.body.address) } as LiveTold;
      await liveSheets.tell(projectId, told);
      response.status(204).end();
    },
  );

  router.post(
    '/:key{/proof}/reading',
    limited(LIMITS.read),
    express.text({ limit: LARGEST_READING, type: () => true }),
    async (request, response) => {
      const { projectId } = sheetOf(request);
      const text = typeof request.body === 'string' ? request.body : '';
      const read = readingIn(text);
      try {
        await liveStore.keepReading(projectId, {
          ...read,
          at: new Date().toISOString(),
          bytes: Buffer.byteLength(text),
          reading: text,
        });
      } catch (error) {
        if (error instanceof TooMuchReadError) throw new Problem('too-large', kept(error.message));
        throw error;
      }
      await liveSheets.tell(projectId, { kind: 'read', address: read.address });
      response.status(201).json({ texts: read.texts, widths: read.widths });
    },
  );

  return router;
}
