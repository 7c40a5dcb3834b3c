import { resolve } from 'node:path';
import { writeFile } from 'node:fs/promises';
import { Command, Option } from 'commander';
import {
  backup,
  ConfigError,
  judgeProject,
  openServices,
  readConfig,
  restore,
  startServer,
  StoreError,
  type ConfigFlags,
} from '@lettera/server';
import { sheetOfElements } from '@lettera/sample';
import { loadSample } from './loadSample';
import { marksReport, REPORT_FORMATS, type ReportFormat } from './marksReport';
import { projectNamed, UnknownProjectError } from './projectNamed';
import { writeBundle } from './writeBundle';

/** Ends with the message of an error that the person can do something about; rethrows any other. */
function fail(error: unknown, code = 1): never {
  if (
    error instanceof ConfigError ||
    error instanceof StoreError ||
    error instanceof UnknownProjectError ||
    (error as NodeJS.ErrnoException).code === 'EACCES'
  ) {
    console.error((error as Error).message);
    process.exit(code);
  }
  throw error;
}

async function start(flags: ConfigFlags & { sample?: boolean }): Promise<void> {
  try {
    const running = await startServer(readConfig(flags), {
      startingPages: sheetOfElements,
      ...(flags.sample ? { prepare: loadSample } : {}),
    });
    console.log(`Lettera is ready at ${running.url}`);
    process.send?.('ready');
    const stop = () => void running.close().then(() => process.exit(0));
    process.on('SIGINT', stop);
    process.on('SIGTERM', stop);
    process.on('disconnect', stop);
  } catch (error) {
    fail(error);
  }
}

async function build(project: string, options: { out: string; data?: string }): Promise<void> {
  try {
    const { out, ...flags } = options;
    const services = await openServices(readConfig(flags));
    try {
      const folder = resolve(out);
      const written = await writeBundle(services, project, folder);
      console.log(`${written.length} files written to ${folder}`);
    } finally {
      await services.close();
    }
  } catch (error) {
    fail(error);
  }
}

/** How a check ends: with marks, and when it could not be made. */
const ENDS = { marked: 1, failed: 2 };

async function check(
  name: string,
  options: { format: ReportFormat; out?: string; data?: string },
): Promise<void> {
  try {
    const { format, out, ...flags } = options;
    const services = await openServices(readConfig(flags));
    try {
      const project = await projectNamed(services, name);
      const judged = await judgeProject(services, project);
      const report = marksReport(format, project, judged);
      if (out === undefined) console.log(report);
      else await writeFile(resolve(out), `${report}\n`);
      if (judged.marks.length > 0) process.exitCode = ENDS.marked;
    } finally {
      await services.close();
    }
  } catch (error) {
    fail(error, ENDS.failed);
  }
}

async function makeBackup({ out, ...flags }: { out: string; data?: string }): Promise<void> {
  try {
    const file = resolve(out);
    await backup(readConfig(flags).dataFolder, file);
    console.log(`All data written to ${file}`);
  } catch (error) {
    fail(error);
  }
}

async function restoreBackup(file: string, flags: { data?: string }): Promise<void> {
  try {
    const { dataFolder } = readConfig(flags);
    const aside = await restore(resolve(file), dataFolder);
    console.log(`${dataFolder} holds what ${file} held.`);
    if (aside) console.log(`What was there before is kept in ${aside}`);
  } catch (error) {
    fail(error);
  }
}

const program = new Command('lettera')
  .description('Settle the typography of a whole site.')
  .showHelpAfterError();

program
  .command('start')
  .description('start the application')
  .option('--port <number>', 'port to listen on (LETTERA_PORT, 4380)')
  .option('--host <address>', 'address to listen on (LETTERA_HOST, 127.0.0.1)')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .option('--foundry-port <number>', 'port of the foundry (LETTERA_FOUNDRY_PORT, 4381)')
  .option('--token <token>', 'access token, needed off loopback (LETTERA_TOKEN)')
  .option(
    '--trust-proxy <which>',
    'proxies in front that are trusted: how many, or their addresses (LETTERA_TRUST_PROXY)',
  )
  .option('--sample', 'load the sample project if it is not there')
  .action(start);

program
  .command('build')
  .description('write a project’s bundle to a folder')
  .argument('<project>', 'id or short name of the project')
  .requiredOption('--out <folder>', 'folder to write to')
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(build);

program
  .command('check')
  .description('tell the marks on a project; ends with 1 when there are any, with 2 when it cannot')
  .argument('<project>', 'id or short name of the project')
  .addOption(
    new Option('--format <format>', 'how they are told').choices(REPORT_FORMATS).default('text'),
  )
  .option('--out <file>', 'file to write them to')
  .exitOverride(({ exitCode }) => process.exit(exitCode === 0 ? 0 : ENDS.failed))
  .option('--data <folder>', 'folder of the data (LETTERA_DATA, ./data)')
  .action(check);

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

await program.parseAsync();
