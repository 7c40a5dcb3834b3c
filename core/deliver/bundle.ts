import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackTrials } from '../fallback/fallbackFace';
import { deliveredFonts, referencedFamilies, type DeliveredFont } from './delivered';
import { designTokens } from './designTokens';
import { slug } from './fileName';
import { headMarkup } from './head';
import { sassTokens } from './sass';
import { specimen } from './specimen';
import { stylesheet } from './stylesheet';

/** A file of the bundle: text made here, or a font to be fetched from the store by its hash. */
export type BundleFile =
  | { path: string; kind: 'text'; purpose: string; content: string }
  | { path: string; kind: 'font'; purpose: string; sha256: string; bytes: number };

/** Licence texts by family key. */
export type LicenceTexts = Record<string, string>;

/** What a person who opens the folder needs to know. */
function readme(document: ProjectDocument, fonts: DeliveredFont[]): string {
  const families = [...new Set(fonts.map(({ family }) => siteName(family)))];
  const elsewhere = referencedFamilies(document)
    .map(
      ({ name, stylesheet: address }) =>
        `\n${name} is served by ${address}, which lettera.css imports.`,
    )
    .join('');
  const { small, large } = document.scale;
  return `# Typography of ${document.name}

Made with Lettera. These files need nothing but a web server.

1. Copy \`lettera.css\` and the folder \`fonts\` to the site, side by side.
2. Paste \`head.html\` into the head of every page, before the site's own style sheets.
3. Open \`specimen.html\` to see every element and every size.

Families: ${families.join(', ') || 'none'}.${elsewhere}
Sizes run from a viewport of ${small.width} px to one of ${large.width} px.

| file | what it is |
| --- | --- |
| \`lettera.css\` | web faces, fallback faces, tokens as custom properties, and a rule for each element |
| \`tokens.json\` | the same tokens in the W3C Design Tokens format |
| \`_tokens.scss\` | the tokens as Sass variables |
| \`head.html\` | what goes into the page's head |
| \`specimen.html\` | a sheet with every element and every size |
| \`fonts\`, \`licences\` | the font files, and the terms they come under |

The element rules carry no specificity${
    document.delivery.layer ? ` and stand in the cascade layer \`${document.delivery.layer}\`` : ''
  }, so any rule of the site's own wins over them.
`;
}

const fontPurpose = ({ family, face, file }: DeliveredFont): string => {
  const weight =
    face.weightMin === face.weightMax
      ? `${face.weightMin}`
      : `${face.weightMin} to ${face.weightMax}`;
  return `${family.name} ${weight}${face.style === 'italic' ? ' italic' : ''}, ${file.script}`;
};

/**
 * Every file of the bundle, in the order in which they are listed. Fonts are named by the hash they are
 * stored under; all else is here.
 */
export function bundleFiles(
  document: ProjectDocument,
  trials: FallbackTrials,
  licences: LicenceTexts,
): BundleFile[] {
  const fonts = deliveredFonts(document);
  const text = (path: string, purpose: string, content: string): BundleFile => ({
    path,
    kind: 'text',
    purpose,
    content,
  });
  const licensed = [...new Map(fonts.map(({ familyKey, family }) => [familyKey, family]))];
  return [
    text(
      'lettera.css',
      'Faces, fallback faces, tokens and element rules',
      stylesheet(document, trials),
    ),
    text('tokens.json', 'Tokens for other tools', designTokens(document, trials)),
    text('_tokens.scss', 'Tokens as Sass variables', sassTokens(document, trials)),
    text('head.html', 'For the head of each page', headMarkup(document)),
    text('specimen.html', 'Every element and size on one sheet', specimen(document)),
    text('README.md', 'How to put it on the site', readme(document, fonts)),
    ...fonts.map((font): BundleFile => ({
      path: font.path,
      kind: 'font',
      purpose: fontPurpose(font),
      sha256: font.file.sha256,
      bytes: font.file.bytes,
    })),
    ...licensed.flatMap(([key, family]) => {
      const licence = licences[key];
      return licence
        ? [text(`licences/${slug(family.name)}.txt`, `Terms of ${family.name}`, licence)]
        : [];
    }),
  ];
}
