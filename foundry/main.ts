import { createFoundry } from './service';

const port = Number(process.env['LETTERA_FOUNDRY_PORT'] ?? 4381);
/** For benchmarks: how many families there are to be at least. */
const families = Number(process.env['LETTERA_FOUNDRY_FAMILIES'] ?? 0);
const app = await createFoundry({ families });

const server = app.listen(port, '127.0.0.1', (error) => {
  if (error) {
    const { code } = error as NodeJS.ErrnoException;
    console.error(
      code === 'EADDRINUSE'
        ? `The foundry cannot start: port ${port} is in use. Give another with --foundry-port or LETTERA_FOUNDRY_PORT.`
        : `The foundry cannot start: ${error.message}`,
    );
    process.exit(1);
  }
  console.log(`The foundry answers at http://127.0.0.1:${port}`);
  process.send?.('ready');
});

process.on('SIGTERM', () => server.close(() => process.exit(0)));
process.on('disconnect', () => process.exit(0));
