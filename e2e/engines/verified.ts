import { build } from 'esbuild';
import type { ProjectDocument } from '@lettera/core/document';

/** What came of the bundle in a bare page, as far as it is told here. */
export interface Outcome {
  elements: number;
  differences: { element: string; width: number; what: string; project: string; browser: string }[];
  missing: string[];
}

/** Source of what the interface verifies a bundle with, for any engine. */
async function verifierSource(): Promise<string> {
  const bundled = await build({
    stdin: {
      contents: `export { verifyBundle } from './web/stage/deliver/verifyBundle'; export { setFrameWidth } from './web/reader/frameWidth';`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    globalName: 'verifying',
    write: false,
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
  return bundled.outputFiles[0]?.text ?? '';
}

let source: Promise<string> | undefined;

/** Source of a function that verifies the bundle in the bare page that it is asked on, put into a frame. */
export async function verifyingIn(document: ProjectDocument): Promise<string> {
  source ??= verifierSource();
  return `async () => {
  ${await source}
  const frame = document.createElement('iframe');
  frame.style.cssText = 'border:0;height:800px';
  await new Promise((resolve) => {
    frame.onload = resolve;
    frame.src = location.href + '?framed';
    document.body.replaceChildren(frame);
  });
  return verifying.verifyBundle(${JSON.stringify(document)}, frame.contentDocument, (width) => {
    return verifying.setFrameWidth(frame, width);
  });
}`;
}
