#!/usr/bin/env node
import { resolve } from 'node:path';
import { readFile, writeFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { Argument, Command, Option } from 'commander';
import {
  backup,
  judgeProject,
  nameOf,
  openProject,
  openServices,
  readConfig,
  restore,
  saveProject,
  version,
  type Services,
  ConfigError,
} from '@lettera/server';
import { newDocument } from '@lettera/core/document';
import { SITE_LIMITS } from '@lettera/core/page';
import { sheetOfElements } from '@lettera/sample';
import { completionFor, SHELLS, type Shell } from './completion';
import { ENDS, ENDS_IN_WORDS, fail } from './ending';
import { heldToBaseline, writeBaseline } from './baseline';
import type { Crawling } from './crawlSite';
import { driftFindings } from './driftFindings';
import { FAIL_ON, fails, type FailOn, type Findings } from './findings';
import { markFindings } from './markFindings';
import { report, REPORT_FORMATS, type ReportFormat } from './report';
import { RunningServer } from './onServer';
import { documentAt, withProject } from './projectAt';
import { demo, start } from './running';
import { stockOfSite } from './siteStock';
import { stockInWords, STOCK_FORMAT } from './stockReport';
import { watchBuild } from './watchBuild';
import { writeBundle } from './writeBundle';

/** Where the project is that a command is about. */
interface Where {
  data?: string;
  server?: string;
}

async function build(
  name: string,
  { out, server, watch, ...flags }: Where & { out: string; watch?: boolean },
) {
  try {
    const folder = resolve(out);
    if (watch) {
      const { port, host } = readConfig(flags);
      const stop = new AbortController();
      for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop.abort());
      await watchBuild(new RunningServer(server ?? `http://${host}:${port}`), name, folder, {
        says: (line) => console.log(line),
        signal: stop.signal,
      });
      return;
    }
    let contents: Record<string, string | Uint8Array>;
    if (server) {
      const running = new RunningServer(server);
      contents = await running.contents(await running.project(name));
    } else {
      contents = await withProject(name, flags, (services, project) =>
        services.deliveries.contents(project),
      );
    }
    const written = await writeBundle(contents, folder);
    console.log(`${written.length} files written to ${folder}`);
  } catch (error) {
    fail(error);
  }
}

/** How findings are told, and what makes a command end with 1. */
interface Telling {
  format: ReportFormat;
  out?: string;
  failOn: FailOn;
  baseline?: string;
  writeBaseline?: string;
}

async function tell(found: Findings, telling: Telling): Promise<void> {
  const { format, out, failOn, baseline } = telling;
  const held = baseline === undefined ? found : await heldToBaseline(found, resolve(baseline));
  if (telling.writeBaseline !== undefined)
    await writeBaseline(found, resolve(telling.writeBaseline));
  const text = report(format, held);
  if (out === undefined) console.log(text);
  else await writeFile(resolve(out), `${text}\n`);
  if (telling.writeBaseline === undefined && fails(held, failOn)) process.exitCode = ENDS.found;
}

async function check(name: string, { server, data, ...telling }: Where & Telling): Promise<void> {
  try {
    const running = server ? new RunningServer(server) : null;
    const { project, judged } = running
      ? { project: await running.project(name), judged: await running.marks(name) }
      : await withProject(name, { data }, async (services, found) => ({
          project: found,
          judged: await judgeProject(services, found),
        }));
    await tell(markFindings(project, judged), telling);
  } catch (error) {
    fail(error, ENDS.failed);
  }
}

/** The reader as it is built to be run in a page, beside this program. */
const readerScript = (): Promise<string> =>
  readFile(fileURLToPath(new URL('takeStock.js', import.meta.url)), 'utf8');

/** How a site is gone through that is given by address. */
interface Gone {
  crawl?: boolean;
  pages?: string;
  header?: string[];
}

/** @throws ConfigError for what is no number of pages, or no header */
function crawlingOf({ crawl, pages, header = [] }: Gone): Crawling {
  const most = pages === undefined ? undefined : Number(pages);
  if (most !== undefined && (!Number.isInteger(most) || most < 1 || most > SITE_LIMITS.pages)) {
    throw new ConfigError(
      `“${pages}” is no number of pages. Give one from 1 to ${SITE_LIMITS.pages}.`,
    );
  }
  const headers = header.map((one) => {
    const [, name, value] = /^([^:\s]+):\s*(.+)$/.exec(one) ?? [];
    if (!name || !value)
      throw new ConfigError(`“${one}” is no header. Give one such as "Cookie: a=b".`);
    return [name, value] as const;
  });
  return {
    ...(crawl ? { crawl } : {}),
    ...(most === undefined ? {} : { pages: most }),
    headers: Object.fromEntries(headers),
    says: (line) => console.error(line),
  };
}

async function takeStock(
  places: string[],
  { out, ...gone }: Gone & { out?: string },
): Promise<void> {
  try {
    const { stock, by } = await stockOfSite(places, await readerScript(), null, crawlingOf(gone));
    if (out !== undefined) {
      await writeFile(resolve(out), `${JSON.stringify({ ...STOCK_FORMAT, by, ...stock })}\n`);
    }
    console.log(stockInWords(stock, by));
  } catch (error) {
    fail(error, ENDS.failed);
  }
}

async function tellDrift(
  name: string,
  places: string[],
  { server, data, crawl, pages, header, ...telling }: Where & Telling & Gone,
): Promise<void> {
  try {
    const document = server
      ? (await new RunningServer(server).project(name)).document
      : await documentAt(name, { data });
    const { stock, drift, by } = await stockOfSite(
      places,
      await readerScript(),
      document,
      crawlingOf({ crawl, pages, header }),
    );
    if (drift) await tell(driftFindings(document, stock, drift, by), telling);
  } catch (error) {
    fail(error, ENDS.failed);
  }
}

/** Does something with the data folder. */
async function withServices(
  flags: { data?: string },
  work: (services: Services) => Promise<void>,
): Promise<void> {
  try {
    const services = await openServices(readConfig(flags));
    try {
      await work(services);
    } finally {
      await services.close();
    }
  } catch (error) {
    fail(error);
  }
}

const begin = (name: string, flags: { data?: string }): Promise<void> =>
  withServices(flags, async ({ projects }) => {
    const { slug } = await projects.create(newDocument(name), await sheetOfElements());
    console.log(`${slug} was begun. See it with: lettera start`);
  });

const open = (file: string, flags: { data?: string }): Promise<void> =>
  withServices(flags, async (services) => {
    const { slug, name } = await openProject(services, resolve(file));
    console.log(`${name} was opened as ${slug}. See it with: lettera start`);
  });

async function save(name: string, { out, ...flags }: { out: string; data?: string }) {
  try {
    const file = resolve(out);
    const bytes = await withProject(name, flags, saveProject);
    await writeFile(file, bytes, { flag: 'wx' });
    console.log(`${name} was saved to ${file}`);
  } catch (error) {
    fail(error);
  }
}

async function makeBackup({ out, ...flags }: { out: string; data?: string }): Promise<void> {
  try {
    const file = resolve(out);
    await backup(readConfig(flags), file);
    console.log(`All data written to ${file}`);
  } catch (error) {
    fail(error);
  }
}

async function restoreBackup(file: string, flags: { data?: string }): Promise<void> {
  try {
    const place = readConfig(flags);
    const aside = await restore(resolve(file), place);
    console.log(`${nameOf(place)} holds what ${file} held.`);
    if (aside) console.log(`What was there before is kept in ${aside}`);
  } catch (error) {
    fail(error);
  }
}

const WHICH = 'id or short name of the project, or a project file (….lettera)';
const FILES_OF_SITE =
  'pages with their files, folders, archives, what the reader gave, or addresses (https://…)';
const ON_SERVER = 'address of a running Lettera whose project it is (with LETTERA_TOKEN)';

const program = new Command('lettera')
  .description('Settle the typography of a whole site.')
  .version(version())
  .addHelpText(
    'after',
    `${ENDS_IN_WORDS}
Everything is kept in the data folder, ./data unless another is named. Removing Lettera leaves it as it is.
`,
  )
  .showHelpAfterError();

/** What the application is started with, alone or with the foundry. */
const withStartOptions = (command: Command): Command =>
  command
    .option('--port <number>', 'port to listen on (LETTERA_PORT, 4380)')
    .option('--host <address>', 'address to listen on (LETTERA_HOST, 127.0.0.1)')
    .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
    .option('--foundry-port <number>', 'port of the foundry (LETTERA_FOUNDRY_PORT, 4381)')
    .option('--token <token>', 'access token, needed off loopback (LETTERA_TOKEN)')
    .option(
      '--trust-proxy <which>',
      'proxies in front that are trusted: how many, or their addresses (LETTERA_TRUST_PROXY)',
    )
    .option(
      '--fetch <on|off>',
      'whether pages are fetched from addresses that are typed; off behind a token (LETTERA_FETCH)',
    )
    .option(
      '--fetch-hosts <hosts>',
      'hosts on this machine or beside it that pages may be fetched from (LETTERA_FETCH_HOSTS)',
    )
    .option('--open', 'show it in the browser of this machine');

withStartOptions(program.command('start'))
  .description('start the application; done where no command is named')
  .option('--sample', 'load the sample project if it is not there')
  .option(
    '--settled-sample',
    'load the sample as it is after some work, the foundry allowed and its families measured',
  )
  .action(start);

withStartOptions(program.command('demo'))
  .description('start the application with the sample project, and a simulated foundry beside it')
  .action(demo);

program
  .command('new')
  .description('begin a project, which is seen when Lettera is started')
  .argument('<name>', 'name of the site')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(begin);

/** A command that tells findings of a project. @param failOn from which severity on it ends with 1, unless said */
const telling = (command: Command, failOn: FailOn): Command =>
  command
    .option('--server <address>', ON_SERVER)
    .addOption(
      new Option('--format <format>', 'how they are listed')
        .choices(REPORT_FORMATS)
        .default('text'),
    )
    .option('--out <file>', 'file to write them to')
    .addOption(
      new Option('--fail-on <severity>', 'the least that makes it end with 1')
        .choices(FAIL_ON)
        .default(failOn),
    )
    .option('--baseline <file>', 'file of what is known, which does not count')
    .option('--write-baseline <file>', 'file to write what is found to, as known; ends with 0')
    .exitOverride(({ exitCode }) => process.exit(exitCode === 0 ? 0 : ENDS.failed))
    .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)');

/** A command that reads a site. */
const reading = (command: Command): Command =>
  command
    .option('--crawl', 'follow links from the addresses, to pages of the same host')
    .option('--pages <number>', `most pages from addresses (${SITE_LIMITS.pages})`)
    .option(
      '--header <header...>',
      'what is sent along to the hosts that are named, such as "Cookie: a=b"',
    );

program
  .command('open')
  .description('make a project of a project file, beside those that are there')
  .argument('<file>', 'file that Lettera has saved, ending in .lettera')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(open);

program
  .command('save')
  .description('save a project to one file: its document, its font files and its pages')
  .argument('<project>', 'id or short name of the project')
  .requiredOption('--out <file>', 'file to write, ending in .lettera; it must not be there')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(save);

program
  .command('build')
  .description('write a project’s bundle to a folder')
  .argument('<project>', WHICH)
  .requiredOption('--out <folder>', 'folder to write to')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .option('--server <address>', ON_SERVER)
  .option('--watch', 'go on, and write what changes at each change of a running Lettera')
  .action(build);

telling(
  program
    .command('check')
    .description(
      'tell the marks on a project; ends with 1 when there are any, with 2 when it cannot',
    )
    .argument('<project>', WHICH),
  'warning',
).action(check);

reading(
  program
    .command('stock')
    .description(
      'take stock of a site, in files or by address: what sets its text, read in Chromium, or from the reader’s file without it; ends with 2 when it cannot',
    )
    .argument('<files...>', FILES_OF_SITE),
)
  .option('--out <file>', 'file to write all of it to, as JSON')
  .exitOverride(({ exitCode }) => process.exit(exitCode === 0 ? 0 : ENDS.failed))
  .action(takeStock);

telling(
  reading(
    program
      .command('drift')
      .description(
        'tell which texts of a site no longer follow a project; ends with 1 when there are any, with 2 when it cannot',
      )
      .argument('<project>', WHICH)
      .argument('<files...>', FILES_OF_SITE),
  ),
  'error',
).action(tellDrift);

program
  .command('backup')
  .description('write all data to one file, while Lettera runs or not')
  .requiredOption('--out <file>', 'file to write; it must not be there')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(makeBackup);

program
  .command('restore')
  .description('put data back that backup has written; what is there is kept beside it')
  .argument('<file>', 'file that backup has written')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(restoreBackup);

program
  .command('completion')
  .description('write what a shell reads to complete these commands')
  .addArgument(new Argument('<shell>', 'which shell').choices(SHELLS))
  .action((shell: Shell) => console.log(completionFor(shell, program)));

/** Where no command is named, the application is started, with whatever options there are. */
function withCommand(given: string[]): string[] {
  const [first] = given;
  const isOwn = first !== undefined && /^(-h|--help|-V|--version)$/.test(first);
  return first === undefined || (first.startsWith('-') && !isOwn) ? ['start', ...given] : given;
}

await program.parseAsync(withCommand(process.argv.slice(2)), { from: 'user' });
