import { gunzipSync } from 'node:zlib';
import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020';
import express, { type Express } from 'express';
import { openApi } from '../http/openapi';

type Json = Record<string, unknown>;

/** Objects that list their members may have no others: what the description leaves out is a fault of it. */
function closed(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(closed);
  if (typeof schema !== 'object' || schema === null) return schema;
  const inside = Object.fromEntries(
    Object.entries(schema as Json).map(([key, value]) => [key, closed(value)]),
  );
  const lists = inside['type'] === 'object' && inside['properties'] !== undefined;
  return lists ? { additionalProperties: false, ...inside } : inside;
}

interface Described {
  responses: Record<string, { content?: Record<string, { schema: Json }> }>;
}

/** Paths of the description as patterns, those with fewest places to fill first. */
const PATHS = Object.entries(openApi.paths as unknown as Record<string, Json>)
  .map(([path, methods]) => ({
    pattern: new RegExp(`^${path.replace(/[.]/g, '\\.').replace(/\{\w+\}/g, '[^/]+')}$`),
    places: path.split('{').length,
    methods,
  }))
  .sort((a, b) => a.places - b.places);

/**
 * The application, with every answer in JSON held against the description of the API.
 * @param faults where what does not agree is noted
 */
export function withCheckedShapes(app: Express, faults: string[]): Express {
  const ajv = new Ajv2020({ strict: false, allErrors: false });
  ajv.addSchema({ $id: 'api', components: closed({ schemas: openApi.components.schemas }) });
  const validators = new Map<Json, ValidateFunction>();
  const validatorOf = (schema: Json): ValidateFunction => {
    const known = validators.get(schema);
    if (known) return known;
    const text = JSON.stringify(closed(schema)).replaceAll('"#/components/', '"api#/components/');
    const made = ajv.compile(JSON.parse(text) as Json);
    validators.set(schema, made);
    return made;
  };
  const check = (method: string, path: string, status: number, type: string, text: string) => {
    const found = PATHS.find(({ pattern }) => pattern.test(path));
    const described = found?.methods[method.toLowerCase()] as Described | undefined;
    const schema = described?.responses[status]?.content?.[type]?.schema;
    const where = `${method} ${path} ${status}`;
    if (!described) return;
    if (!schema) {
      // Who may come in at all is decided before any route.
      if (![401, 403, 429, 404].includes(status)) faults.push(`${where}: not described`);
      return;
    }
    const validate = validatorOf(schema);
    if (!validate(JSON.parse(text))) faults.push(`${where}: ${ajv.errorsText(validate.errors)}`);
  };
  const outer = express();
  outer.use((request, response, next) => {
    const send = response.send.bind(response);
    const path = request.path.replace(/^\/api\/v1/, '');
    response.send = (body: unknown) => {
      const type = String(response.get('Content-Type') ?? '').split(';')[0] ?? '';
      const packed = response.get('Content-Encoding') === 'gzip' && Buffer.isBuffer(body);
      const text = packed ? gunzipSync(body).toString() : body;
      if (/json$/.test(type) && typeof text === 'string') {
        check(request.method, path, response.statusCode, type, text);
      }
      return send(body);
    };
    next();
  });
  outer.use(app);
  return outer;
}
