import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { launchBrowser, newPage, proofFrame } from './browser';
import { freePort } from './lettera';

/** The package as `npm pack` makes it, installed into a folder where nothing else is. */
const run = promisify(execFile);
let place: string;
let browser: Browser;

beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'lettera-installed-'));
  await run('npm', ['pack', '--pack-destination', place]);
  const [tarball = ''] = readdirSync(place);
  mkdirSync(join(place, 'site'));
  writeFileSync(join(place, 'site/package.json'), '{ "private": true }');
  // Without scripts: nothing that it needs is compiled, or fetched otherwise than by npm.
  await npm('install', '--ignore-scripts', '--prefer-offline', join(place, tarball));
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
  rmSync(place, { recursive: true, force: true });
});

const npm = (...args: string[]) => run('npm', args, { cwd: join(place, 'site') });
const lettera = (...args: string[]) => npm('exec', '--', 'lettera', ...args);

/** Starts it, and waits for what it says. */
async function started(args: string[]): Promise<{ child: ChildProcess; said: string }> {
  const child = spawn(join(place, 'site/node_modules/.bin/lettera'), args, {
    cwd: join(place, 'site'),
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes('Everything is kept')) resolve();
    });
    child.once('exit', (code) => reject(new Error(`It ended with ${code}: ${said}`)));
  });
  return { child, said };
}

const ended = (child: ChildProcess): Promise<number | null> =>
  new Promise((resolve) => {
    child.once('exit', resolve);
    child.kill('SIGTERM');
  });

test('it tells its version, and what its commands end with', async () => {
  expect((await lettera('--version')).stdout.trim()).toMatch(/^\d+\.\d+\.\d+$/);
  expect((await lettera('--help')).stdout).toContain('Ends with:');
});

test('it starts where no command is named, with options', async () => {
  const port = await freePort();
  const { child } = await started(['--port', `${port}`, '--data', join(place, 'other')]);
  expect((await fetch(`http://127.0.0.1:${port}/api/v1/health`)).status).toBe(200);
  expect(await ended(child)).toBe(0);
});

test('the demo shows the sample with its foundry; what is kept stays when the package goes', async () => {
  const [port, foundryPort] = [await freePort(), await freePort()];
  const { child, said } = await started([
    'demo',
    '--port',
    `${port}`,
    '--foundry-port',
    `${foundryPort}`,
  ]);
  const data = join(place, 'site/data');
  expect(said).toContain(`Lettera is ready at http://127.0.0.1:${port}`);
  expect(said).toContain(`Everything is kept in ${data}`);
  const { page, errors } = await newPage(browser);
  await page.goto(`http://127.0.0.1:${port}/p/tarnholm-light/faces`);
  await proofFrame(page, { asItIs: true });
  await page.waitForSelector('.family .specimen.shown');
  expect(errors).toEqual([]);
  expect(await ended(child)).toBe(0);
  await expect(fetch(`http://127.0.0.1:${foundryPort}/`)).rejects.toThrow();
  const { stdout } = await lettera('build', 'tarnholm-light', '--out', 'type');
  expect(stdout).toContain('files written');
  await npm('uninstall', 'lettera');
  expect(existsSync(join(place, 'site/node_modules/lettera'))).toBe(false);
  expect(existsSync(join(data, 'lettera.db'))).toBe(true);
});
