import { siteName } from '../document/familyName';
import { freeKey } from '../document/faces';
import type { Family, ProjectDocument } from '../document/projectDocument';
import type { RuleWeight } from '../document/vocabulary';
import { referencedFamilies } from './delivered';
import { designTokens } from './designTokens';
import { slug } from './fileName';
import { betweenInWords } from '../scale/words';
import { headMarkup } from './head';
import { escapeMarkdown } from './markdown';
import { cutName } from './cut';
import type { DeliveryPlan } from './plan';
import type { Plans } from './plans';
import { withPrefix } from './prefix';
import { sassTokens } from './sass';
import { specimen } from './specimen';
import { stylesheet } from './stylesheet';
import { visitsScript } from './visits';

/** A file of the bundle: text made here, or a font to be fetched from the store by its source and cut. */
export type BundleFile =
  | { path: string; kind: 'text'; purpose: string; content: string }
  | {
      path: string;
      kind: 'font';
      purpose: string;
      /** Hash of the file it is made from, and what is done to that; null when nothing is. */
      source: string;
      cut: string | null;
      bytes: number | null;
    };

/** Licence texts by family key. */
export type LicenceTexts = Record<string, string>;

/** What a person who opens the folder needs to know. */
function readme(document: ProjectDocument, { files, locals }: DeliveryPlan): string {
  const installed = [...new Set(locals.map(({ family }) => siteName(family)))].map(escapeMarkdown);
  const families = [...new Set(files.map(({ family }) => siteName(family)))].map(escapeMarkdown);
  const elsewhere = referencedFamilies(document)
    .map(
      ({ name, stylesheet: address }) =>
        `\n${escapeMarkdown(name)} is served by <${address}>, which lettera.css imports.`,
    )
    .join('');
  return `# Typography of ${escapeMarkdown(document.name)}

Made with Lettera. These files need nothing but a web server.

1. Copy \`lettera.css\` and the folder \`fonts\` to the site, side by side.
2. Paste \`head.html\` into the head of every page, ${document.delivery.linked ?? 'before'} the site's own style sheets.
3. Open \`specimen.html\` to see every element and every size.

Families: ${families.join(', ') || 'none'}.${elsewhere}${
    installed.length > 0 ? `\nOnly where visitors have it installed: ${installed.join(', ')}.` : ''
  }
${betweenInWords(document.scale)}

| file | what it is |
| --- | --- |
| \`lettera.css\` | web faces, fallback faces, tokens as custom properties, and a rule for each element |
| \`tokens.json\` | the same tokens in the W3C Design Tokens format |
| \`_tokens.scss\` | the tokens as Sass variables |
| \`head.html\` | what goes into the page's head |
| \`specimen.html\` | a sheet with every element and every size |
| \`fonts\`, \`licences\` | the font files, and the terms they come under |

${aboutRules(document)}
`;
}

const ABOUT_WEIGHT: Record<RuleWeight, string> = {
  none: "The element rules carry no specificity, so any rule of the site's own wins over them.",
  own: "The element rules weigh as much as their selectors, and compete with the site's own rules.",
  over: "The element rules weigh more than rules of the site's own of up to four classes; those with an id still win.",
};

/** What whoever puts the style sheet onto a site needs to know of its rules. */
function aboutRules({
  elements,
  delivery: {
    form = 'whole',
    weight = 'none',
    layer,
    siteLayer,
    leave = [],
    keepColoursOn = [],
    keepDarkColours = false,
  },
}: ProjectDocument): string {
  if (form === 'tokens')
    return 'The style sheet holds faces and tokens alone, and sets no text itself.';
  const important = Object.values(elements)
    .filter((element) => element.important)
    .map(({ name }) => escapeMarkdown(name));
  const heavy = Object.values(elements).filter(({ weight }) => weight);
  return [
    ...(form === 'rules'
      ? ['The style sheet holds element rules alone, which read tokens that must be there already.']
      : []),
    ABOUT_WEIGHT[weight],
    ...(layer
      ? [`They stand in the cascade layer \`${layer}\`, which rules outside any layer win over.`]
      : []),
    ...(siteLayer
      ? [
          `The site's own style sheets are to stand in the cascade layer \`${siteLayer}\`, so that rules outside it win over them: link each by \`@import url("site.css") layer(${siteLayer});\`.`,
        ]
      : []),
    ...(heavy.length > 0
      ? [
          `More weight, as much as it takes to win over the site's own: ${heavy.map(({ name }) => escapeMarkdown(name)).join(', ')}.`,
        ]
      : []),
    ...(important.length > 0 ? [`Said with \`!important\`: ${important.join(', ')}.`] : []),
    ...(keepColoursOn.length > 0
      ? [`The site's own colours stay on ${keepColoursOn.map((one) => `\`${one}\``).join(', ')}.`]
      : []),
    ...(keepDarkColours
      ? ["The site's own colours stay where visitors prefer a dark background."]
      : []),
    ...(leave.length > 0
      ? [`Left to the site's own style sheets: ${leave.map((one) => `\`${one}\``).join(', ')}.`]
      : []),
  ].join(' ');
}

/** A path for each family's licence, no two alike. */
function licencePaths(
  families: readonly (readonly [key: string, family: Family])[],
): Map<string, string> {
  const taken = new Set<string>();
  return new Map(
    families.map(([key, { name }]) => {
      const path = freeKey(taken, slug(name));
      taken.add(path);
      return [key, `licences/${path}.txt`];
    }),
  );
}

/**
 * Every file of the bundle, in the order in which they are listed. Fonts are named by what they are made
 * from; all else is here.
 */
export function bundleFiles(
  document: ProjectDocument,
  { fallback, delivery }: Plans,
  licences: LicenceTexts,
): BundleFile[] {
  const text = (path: string, purpose: string, content: string): BundleFile => ({
    path,
    kind: 'text',
    purpose,
    content,
  });
  const families = [...new Map(delivery.files.map(({ familyKey, family }) => [familyKey, family]))];
  const paths = licencePaths(families);
  return [
    text(
      'lettera.css',
      'Faces, fallback faces, tokens and element rules',
      withPrefix(document, stylesheet(document, { fallback, delivery })),
    ),
    text('tokens.json', 'Tokens for other tools', designTokens(document, fallback)),
    text(
      '_tokens.scss',
      'Tokens as Sass variables',
      withPrefix(document, sassTokens(document, fallback)),
    ),
    text('head.html', 'For the head of each page', headMarkup(document, delivery)),
    text(
      'specimen.html',
      'Every element and size on one sheet',
      withPrefix(document, specimen(document)),
    ),
    text('README.md', 'How to put it on the site', readme(document, delivery)),
    ...(document.delivery.visits
      ? [
          text(
            'visits.js',
            'Counts how the site’s visitors get the type',
            visitsScript(document, fallback, document.delivery.visits),
          ),
        ]
      : []),
    ...delivery.files.map(({ path, purpose, source, cut, bytes }): BundleFile => ({
      path,
      kind: 'font',
      purpose,
      source,
      cut: cut && cutName(cut),
      bytes,
    })),
    ...families.flatMap(([key, family]) => {
      const licence = Object.hasOwn(licences, key) ? licences[key] : undefined;
      return licence ? [text(paths.get(key) ?? '', `Terms of ${family.name}`, licence)] : [];
    }),
  ];
}
