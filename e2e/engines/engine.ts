import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import puppeteer, { type Browser } from 'puppeteer-core';
import { FLAGS } from '../browser';
import { freePort } from '../lettera';

/** A browser that opens a page and answers a question about it. */
export interface Engine {
  name: string;
  /** Whether it knows metric overrides. */
  overrides: boolean;
  /**
   * Opens an address and runs a function in its page.
   * @param script source of an async function, which gives JSON
   */
  ask<T>(url: string, script: string): Promise<T>;
  close(): Promise<void>;
}

const asking = (browser: Browser): Engine['ask'] =>
  async function ask<T>(url: string, script: string): Promise<T> {
    const page = await browser.newPage();
    try {
      await page.goto(url);
      return (await page.evaluate(`(${script})()`)) as T;
    } finally {
      await page.close();
    }
  };

async function chromium(executablePath: string): Promise<Engine> {
  const browser = await puppeteer.launch({ executablePath, headless: true, args: FLAGS });
  return {
    name: 'Chromium',
    overrides: true,
    ask: asking(browser),
    close: () => browser.close(),
  };
}

async function firefox(executablePath: string): Promise<Engine> {
  const browser = await puppeteer.launch({ browser: 'firefox', executablePath, headless: true });
  return {
    name: 'Firefox',
    overrides: true,
    ask: asking(browser),
    close: () => browser.close(),
  };
}

const MINI_BROWSERS = ['4.1', '4.0', '6.0'].map(
  (version) => `/usr/lib/x86_64-linux-gnu/webkit2gtk-${version}/MiniBrowser`,
);

/** The W3C WebDriver protocol over HTTP, as far as it is used here. */
class WebDriver {
  constructor(private readonly url: string) {}

  async send<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
    const response = await fetch(`${this.url}${path}`, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const { value } = (await response.json()) as { value: T & { message?: string } };
    if (!response.ok) throw new Error(`${path}: ${value.message ?? response.status}`);
    return value;
  }

  async untilReady(): Promise<void> {
    for (let tries = 0; tries < 100; tries++) {
      const ready = await this.send<{ ready: boolean }>('GET', '/status').catch(() => null);
      if (ready?.ready) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('WebKitWebDriver does not answer.');
  }
}

async function webkit(driver: string, miniBrowser: string): Promise<Engine> {
  const display = `:${90 + Math.floor(Math.random() * 900)}`;
  const children: ChildProcess[] = [];
  const start = (command: string, args: string[]) =>
    children.push(
      spawn(command, args, {
        stdio: 'ignore',
        env: {
          ...process.env,
          DISPLAY: display,
          WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
          WEBKIT_DISABLE_COMPOSITING_MODE: '1',
        },
      }),
    );
  const port = await freePort();
  start('Xvfb', [display, '-screen', '0', '1600x1200x24']);
  start(driver, [`--port=${port}`]);
  const client = new WebDriver(`http://127.0.0.1:${port}`);
  await client.untilReady();
  const { sessionId } = await client.send<{ sessionId: string }>('POST', '/session', {
    capabilities: {
      alwaysMatch: {
        'webkitgtk:browserOptions': { binary: miniBrowser, args: ['--automation'] },
        timeouts: { script: 60_000, pageLoad: 60_000 },
      },
    },
  });
  const session = `/session/${sessionId}`;
  return {
    name: 'WebKitGTK',
    overrides: false,
    async ask<T>(url: string, script: string) {
      await client.send('POST', `${session}/url`, { url });
      const answer = await client.send<string>('POST', `${session}/execute/async`, {
        script: `const done = arguments[0]; (${script})().then((value) => done(JSON.stringify(value)), (error) => done(JSON.stringify({ failed: String(error) })));`,
        args: [],
      });
      const value = JSON.parse(answer) as T & { failed?: string };
      if (value.failed) throw new Error(value.failed);
      return value;
    },
    async close() {
      await client.send('DELETE', session).catch(() => undefined);
      for (const child of children) child.kill('SIGKILL');
    },
  };
}

const found = (...places: string[]): string | undefined => places.find((path) => existsSync(path));

/** The engines of this machine, each started when its turn comes; one that is not there is null, with its name. */
export const ENGINES: { name: string; start: () => Promise<Engine> | null }[] = [
  {
    name: 'Chromium',
    start: () => {
      const path = found(
        process.env['LETTERA_CHROMIUM'] ?? '',
        '/usr/bin/chromium',
        '/usr/bin/chromium-browser',
      );
      return path ? chromium(path) : null;
    },
  },
  {
    name: 'Firefox',
    start: () => {
      const path = found('/usr/bin/firefox-esr', '/usr/bin/firefox');
      return path ? firefox(path) : null;
    },
  },
  {
    name: 'WebKitGTK',
    start: () => {
      const [driver, browser] = [found('/usr/bin/WebKitWebDriver'), found(...MINI_BROWSERS)];
      return driver && browser && existsSync('/usr/bin/Xvfb') ? webkit(driver, browser) : null;
    },
  },
];
