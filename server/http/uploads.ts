import type { Request, RequestHandler } from 'express';
import multer from 'multer';
import type { Arrival, IncomingFiles } from '../incoming';
import { bodyLimit } from './requests';

/** What one request may bring. */
export interface UploadLimits {
  /** Bytes of one file, and of all together. */
  file: number;
  all: number;
  files: number;
  /** What it brings, as a sentence goes on with “may be at most …”. */
  what: string;
  /** Fields beside the files; none when left out. */
  fields?: number;
}

/** Files of a form, received where the server keeps what arrives. */
class ReceivedFiles implements multer.StorageEngine {
  constructor(private readonly arrivals: WeakMap<Request, Arrival>) {}

  _handleFile(
    request: Request,
    file: Express.Multer.File,
    done: (error?: unknown, info?: Partial<Express.Multer.File>) => void,
  ): void {
    const arrival = this.arrivals.get(request);
    if (!arrival) {
      done(new RangeError('Nothing was expected.'));
      return;
    }
    arrival.receive(file.stream).then((info) => done(null, info), done);
  }

  /** What has arrived goes with the request. */
  _removeFile(_request: Request, _file: Express.Multer.File, done: (error: null) => void): void {
    done(null);
  }
}

/** The files of a request, with the paths that they were sent with. */
export const filesOf = (request: Request): Express.Multer.File[] =>
  (request.files ?? []) as Express.Multer.File[];

/** Multer reads names as Latin-1; browsers send UTF-8. */
export const fileName = ({ originalname }: Express.Multer.File): string =>
  Buffer.from(originalname, 'latin1').toString('utf8');

/**
 * Takes the parts named `file` of a form in, within limits: room is made for what the request brings, and
 * cleared once it is answered.
 */
export function receivingFiles(
  incoming: IncomingFiles,
  { file, all, files, what, fields = 0 }: UploadLimits,
): RequestHandler[] {
  const arrivals = new WeakMap<Request, Arrival>();
  const upload = multer({
    storage: new ReceivedFiles(arrivals),
    limits: { fileSize: file, files, fields },
    preservePath: true,
  });
  const expecting: RequestHandler = async (request, response, next) => {
    const announced = Number(request.headers['content-length'] ?? 0);
    // Who is turned away is still sending, and hears of it only once all has been taken in and let go.
    const arrival = await incoming.expect(all, announced).catch((error: unknown) => {
      request.resume();
      throw error;
    });
    arrivals.set(request, arrival);
    response.once('close', () => void arrival.clear());
    next();
  };
  return [bodyLimit(all, what), expecting, upload.array('file', files)];
}
