import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { expect, test } from '@jest/globals';
import express from 'express';
import request from 'supertest';
import { temporaryFolder } from '../testing/server';
import { notFound, problemHandler } from './problem';
import { webApp } from './webApp';

function app() {
  const folder = temporaryFolder();
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<meta content="__NONCE__"><p>Lettera</p>');
  writeFileSync(join(folder, 'assets/main-1.js'), 'export {}');
  writeFileSync(join(folder, 'assets/packed-1.js'), 'plain');
  writeFileSync(join(folder, 'assets/packed-1.js.br'), brotliCompressSync('by brotli'));
  writeFileSync(join(folder, 'assets/packed-1.js.gz'), gzipSync('by gzip'));
  return express().use(webApp(folder)).use(notFound).use(problemHandler);
}

test('every address of the application’s own is its one page, with a nonce of its own each time', async () => {
  const page = (path: string) => request(app()).get(path).set('Accept', 'text/html').expect(200);
  const [one, other] = [await page('/p/tarnholm-light/scale'), await page('/')];
  const nonce = /content="([^"]+)"/.exec(one.text)?.[1] ?? '';
  expect(nonce).not.toBe('__NONCE__');
  expect(one.headers['content-security-policy']).toContain(`'nonce-${nonce}'`);
  expect(other.text).not.toContain(nonce);
});

test('an asset that is not there is not there, even to whoever would take a page', async () => {
  await request(app()).get('/assets/main-1.js').expect(200);
  for (const path of ['/assets/missing.js', '/assets/', '/assets/..%2findex.html']) {
    const { text } = await request(app()).get(path).set('Accept', 'text/html').expect(404);
    expect(text).not.toContain('<p>Lettera</p>');
  }
});

test.each([
  ['gzip, deflate, br, zstd', 'br', 'by brotli'],
  ['gzip, deflate', 'gzip', 'by gzip'],
  ['identity', undefined, 'plain'],
])('an asset goes as it lies packed, to who takes %s', async (takes, encoding, text) => {
  const answer = await request(app())
    .get('/assets/packed-1.js')
    .set('Accept-Encoding', takes)
    .expect(200)
    .expect('Content-Type', /javascript/)
    .expect('Cache-Control', /immutable/)
    .expect('Vary', /Accept-Encoding/);
  expect(answer.headers['content-encoding']).toBe(encoding);
  expect(answer.text).toBe(text);
  await request(app())
    .get('/assets/main-1.js')
    .set('Accept-Encoding', takes)
    .expect(200, 'export {}');
});
