import { readFile } from 'node:fs/promises';
import type { Slant } from '@lettera/core/document';
import {
  CompositeShaper,
  judgedSentences,
  localSet,
  localVariant,
  readAdvances,
  tuneFallback,
  variantOf,
  WebWidths,
  wordsOf,
  type Fitting,
  type LocalAdvances,
  type LocalVariant,
  type TunedFace,
  type TuningText,
} from '@lettera/core/fallback';
import { platformLineMetrics, type FaceReading } from '@lettera/core/font';
import { readFace, Shaper } from '@lettera/core/font/file';
import { weightColour } from '@lettera/core/measure/file';
import { twinFiles } from './twins';

/** Readings of local fonts from the designer's own machine, by the key of the set, then by style. */
export type MeasuredFonts = Readonly<Record<string, Partial<Record<LocalVariant, LocalAdvances>>>>;

export interface TuneRequest {
  /** The web face's files, and its line metrics. */
  files: Uint8Array[];
  metrics: Pick<FaceReading, 'unitsPerEm' | 'ascent' | 'descent' | 'lineGap'>;
  /** Weight to read the face at, where its file has the axis. */
  instanceWeight: number;
  /** What the styles ask for. */
  weight: number;
  slant: Slant;
  /** Keys of the sets of local fonts to try. */
  locals: string[];
  measured: MeasuredFonts;
  text: TuningText;
  fitting: Fitting;
}

/** A twin that has been opened: it never changes, so once a worker. */
interface OpenTwin {
  face: CompositeShaper;
  colour: number | null;
  lines: LocalAdvances['lines'];
}

const openTwins = new Map<string, Promise<OpenTwin | null>>();

async function openTwin(local: string, variant: LocalVariant): Promise<OpenTwin | null> {
  const set = localSet(local);
  const files = await Promise.all(
    twinFiles(set?.twin ?? null, variant, set?.script).map(({ path }) => readFile(path)),
  );
  const [first] = files;
  // A style that platforms do not carry is not tried, though the twin has it.
  if (!set || !first || !set.fonts[0]?.localNames[variant]) return null;
  const shapers = await Promise.all(files.map((file) => Shaper.open(file)));
  const reading = await readFace(first);
  const { ascent, descent, lineGap } = platformLineMetrics(reading).mac;
  const em = (units: number) => units / reading.unitsPerEm;
  return {
    face: new CompositeShaper(shapers),
    colour: shapers[0] ? weightColour(shapers[0]) : null,
    lines: set.linesAsTwin
      ? { ascent: em(ascent), descent: em(descent), lineGap: em(lineGap) }
      : null,
  };
}

function twinOf(local: string, variant: LocalVariant): Promise<OpenTwin | null> {
  const key = `${local} ${variant}`;
  const known = openTwins.get(key);
  if (known) return known;
  const opened = openTwin(local, variant);
  openTwins.set(key, opened);
  return opened;
}

/** What is known of a local font in a style: as measured on the designer's machine, else from its twin. */
interface Known {
  colour: number | null;
  read: () => LocalAdvances;
}

async function knownOf(
  local: string,
  variant: LocalVariant,
  measured: MeasuredFonts,
  words: () => Iterable<string>,
): Promise<Known | null> {
  const own = measured[local]?.[variant];
  if (own) return { colour: own.colour, read: () => own };
  const twin = await twinOf(local, variant);
  return (
    twin && {
      colour: twin.colour,
      read: () => ({
        ...readAdvances(twin.face, words()),
        colour: twin.colour,
        lines: twin.lines,
      }),
    }
  );
}

/** How far apart two weights look: their colours as a proportion. */
const apart = (a: number, b: number): number => Math.abs(Math.log(a / b));

/**
 * Which style of a local font stands in, regular or bold of the slant: the nearer in colour to the web face;
 * by weight, where colours are not known.
 */
function nearest(
  { weight, slant }: TuneRequest,
  webColour: number | null,
  known: Partial<Record<LocalVariant, Known>>,
): LocalVariant | null {
  const [regular, bold] = [variantOf(false, slant), variantOf(true, slant)];
  const [a, b] = [known[regular], known[bold]];
  if (!a || !b) return a ? regular : b ? bold : null;
  if (!webColour || !a.colour || !b.colour) return localVariant(weight, slant);
  return apart(b.colour, webColour) < apart(a.colour, webColour) ? bold : regular;
}

/**
 * Tunes each local font for one weight and style of a web face, by the local font's key. One that has no
 * word in common with the face, or not the style, is left out.
 */
export async function tune(request: TuneRequest): Promise<Record<string, TunedFace>> {
  const { files, metrics, instanceWeight, weight, slant, locals, measured, text, fitting } =
    request;
  const shapers = await Promise.all(
    files.map((file) => Shaper.open(file, { wght: instanceWeight })),
  );
  const widths = new WebWidths(new CompositeShaper(shapers));
  const webColour = shapers[0] ? weightColour(shapers[0]) : null;
  const words = () => [...text.tuning.keys(), ...judgedSentences(text).flatMap(wordsOf)];
  const tuned: Record<string, TunedFace> = {};
  for (const local of locals) {
    const known: Partial<Record<LocalVariant, Known>> = {};
    for (const variant of [variantOf(false, slant), variantOf(true, slant)]) {
      const found = await knownOf(local, variant, measured, words);
      if (found) known[variant] = found;
    }
    const variant = nearest(request, webColour, known);
    const advances = variant && known[variant]?.read();
    if (!variant || !advances) continue;
    const face = tuneFallback(
      { widths, lines: metrics },
      advances,
      { weight, slant, variant },
      text,
      fitting,
    );
    if (face) tuned[local] = face;
  }
  return tuned;
}
