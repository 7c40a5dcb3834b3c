import { localMeasuring as say } from './words';
import {
  LOCAL_SETS,
  localName,
  localSet,
  VARIANTS,
  type LocalReading,
  type LocalVariant,
} from '@lettera/core/fallback';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api } from '../api/client';
import type { LocalFontWorker } from '../worker/localFonts';
import { useCopy } from './copy';
import { useFallbacks } from './fallbacks';
import { useProject } from './project';

/** A font of this machine, as the Local Font Access API describes it. */
interface MachineFont {
  family: string;
  fullName: string;
  postscriptName: string;
  blob(): Promise<Blob>;
}
declare global {
  interface Window {
    queryLocalFonts?: (options?: { postscriptNames?: string[] }) => Promise<MachineFont[]>;
  }
}

/** What is measured besides the words of the project: every letter beside every other of plain text. */
const LETTERS = 'abcdefghijklmnopqrstuvwxyz';
const MARKS = ['.', ',', ';', ':', '!', '?', '’', '”', ')', '-'];

function plainWords(): string[] {
  const capitals = [...LETTERS.toUpperCase()];
  const all = [...LETTERS];
  return [
    ...all.flatMap((a) => all.map((b) => a + b)),
    ...capitals.flatMap((a) => all.map((b) => a + b)),
    ...all.flatMap((a) => MARKS.map((b) => a + b)),
    '“A ‘a (a 0123456789 £ € $ % & / + = – — … @ # * « »',
    ...'áàâäãåæçéèêëíìîïðñóòôöõøœúùûüýÿþßāčďēěģīķłńňőŕřśšťűůųžġħ',
    ...'ÁÀÂÄÃÅÆÇÉÈÊËÍÌÎÏÐÑÓÒÔÖÕØŒÚÙÛÜÝÞČŁŚŠŽ',
    ...'αβγδεζηθικλμνξοπρστυφχψω',
  ];
}

/** The set and the style that a name stands for: a full or a PostScript name of the table. */
export function localNamed(
  names: readonly string[],
): { local: string; variant: LocalVariant } | null {
  const wanted = names.map((name) => name.toLowerCase());
  for (const [local, { fonts }] of Object.entries(LOCAL_SETS)) {
    for (const variant of VARIANTS) {
      const known = fonts.flatMap(({ localNames }) => localNames[variant] ?? []);
      if (known.some((name) => wanted.includes(name.toLowerCase()))) return { local, variant };
    }
  }
  return null;
}

interface Wanted {
  local: string;
  variant: LocalVariant;
  bytes: () => Promise<ArrayBuffer>;
}

/** Measuring local fonts on the designer's own machine: in a worker, and only widths are kept. */
export const useLocalMeasuring = defineStore('localMeasuring', () => {
  const project = useProject();
  const fallbacks = useFallbacks();
  const copy = useCopy();
  const progress = shallowRef<{ done: number; of: number } | null>(null);
  const said = ref('');
  const canAsk = computed(() => typeof window.queryLocalFonts === 'function');
  let worker: { terminate: () => void; ask: Remote<LocalFontWorker> } | null = null;
  let stopped = false;

  function start() {
    const made = new Worker(new URL('../worker/localFonts.ts', import.meta.url), {
      type: 'module',
    });
    worker = { terminate: () => made.terminate(), ask: wrap<LocalFontWorker>(made) };
    return worker;
  }

  function stop(): void {
    stopped = true;
    worker?.terminate();
    worker = null;
    progress.value = null;
    said.value = say.stoppedWhatHadBeen;
  }

  /** Measures fonts one after the other, and keeps what was read of each. */
  async function measure(wanted: readonly Wanted[]): Promise<void> {
    stopped = false;
    progress.value = { done: 0, of: wanted.length };
    const words = [
      ...plainWords(),
      ...`${copy.heading} ${copy.paragraph}`.split(/\s+/).filter(Boolean),
    ];
    const { ask, terminate } = worker ?? start();
    const kept = new Set<string>();
    const failed: string[] = [];
    for (const { local, variant, bytes } of wanted) {
      if (stopped) return;
      try {
        const advances = await ask.measure(await bytes(), words);
        const reading: LocalReading = { local, variant, advances };
        await api.keepLocalReadings(project.id, [reading]);
        kept.add(localName(local));
      } catch (error) {
        failed.push(`${localName(local)}: ${(error as Error).message}`);
      }
      progress.value = { done: (progress.value?.done ?? 0) + 1, of: wanted.length };
    }
    progress.value = null;
    terminate();
    worker = null;
    said.value = [
      kept.size ? say.measured([...kept].join(', ')) : '',
      ...failed.map((one) => say.notMeasured(one)),
    ]
      .filter(Boolean)
      .join(' ');
    if (kept.size) await fallbacks.load();
  }

  /** Asks the browser for this machine's own fonts, which asks the designer; then measures those wanted. */
  async function fromMachine(keys: readonly string[]): Promise<void> {
    said.value = '';
    let fonts: MachineFont[] = [];
    try {
      fonts = (await window.queryLocalFonts?.()) ?? [];
    } catch (error) {
      if ((error as Error).name !== 'NotAllowedError') {
        said.value = say.browserDidNotGive((error as Error).message);
        return;
      }
    }
    // No machine is without fonts: a browser that may not show them lists none.
    if (fonts.length === 0) {
      said.value = say.browserWasNotAllowed;
      return;
    }
    const wanted = fonts.flatMap((font): Wanted[] => {
      const named = localNamed([font.fullName, font.postscriptName]);
      if (!named || !keys.includes(named.local)) return [];
      return [{ ...named, bytes: async () => (await font.blob()).arrayBuffer() }];
    });
    if (wanted.length === 0) {
      said.value = say.noneThemAmongFonts(fonts.length.toLocaleString('en'));
      return;
    }
    await measure(wanted);
  }

  /** Measures font files: which local font one is, the file's name tells. They are read here and go nowhere. */
  async function fromFiles(files: readonly File[], keys: readonly string[]): Promise<void> {
    said.value = '';
    const wanted: Wanted[] = [];
    const others: string[] = [];
    for (const file of files) {
      const named = localNamed([file.name.replace(/\.[^.]+$/, '')]) ?? fileNamed(file.name, keys);
      if (named && localSet(named.local)) {
        wanted.push({ ...named, bytes: () => file.arrayBuffer() });
      } else others.push(file.name);
    }
    if (wanted.length) await measure(wanted);
    if (others.length) {
      said.value = [said.value, say.nameNoneTheseLocal(others.join(', '))]
        .filter(Boolean)
        .join(' ');
    }
  }

  return { progress, said, canAsk, fromMachine, fromFiles, stop };
});

/** The set and the style that a file name stands for; short names too, by which platforms keep their files: `verdanab.ttf`, `segoeuib.ttf`. */
export function fileNamed(
  name: string,
  keys: readonly string[],
): { local: string; variant: LocalVariant } | null {
  const plain = name
    .toLowerCase()
    .replace(/\.[^.]+$/, '')
    .replace(/[\s_-]/g, '');
  for (const local of keys) {
    const family = localName(local).toLowerCase().replace(/\s/g, '');
    const rest = plain.startsWith(family) ? plain.slice(family.length) : null;
    const variant = {
      '': 'regular',
      regular: 'regular',
      b: 'bold',
      bold: 'bold',
      i: 'italic',
      italic: 'italic',
      z: 'boldItalic',
      bolditalic: 'boldItalic',
    }[rest ?? '?'] as LocalVariant | undefined;
    if (variant) return { local, variant };
  }
  return null;
}
