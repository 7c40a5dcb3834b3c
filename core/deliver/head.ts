import type { ProjectDocument } from '../document/projectDocument';
import { referencedFamilies } from './delivered';
import type { DeliveryPlan } from './plan';
import { escapeHtml } from './html';
import { preloadedFonts } from './seenFirst';

/** Where the markup goes, for whoever pastes it, when that is not the usual place. */
function aboutPlace({ delivery: { linked, siteLayer } }: ProjectDocument): string[] {
  return [
    ...(linked === 'after' ? ["<!-- After the site's own style sheets. -->"] : []),
    ...(siteLayer
      ? [
          "<!-- The site's own style sheets stand in a layer, so each of their links becomes:",
          `     <style>@import url("site.css") layer(${siteLayer});</style> -->`,
        ]
      : []),
  ];
}

/** `head.html`: what goes into the page's head, in order. Font fetches are always CORS, hence `crossorigin`. */
export function headMarkup(document: ProjectDocument, delivery: DeliveryPlan): string {
  return [
    ...aboutPlace(document),
    ...preloadedFonts(document, delivery).map(
      ({ path }) =>
        `<link rel="preload" href="${escapeHtml(path)}" as="font" type="font/woff2" crossorigin>`,
    ),
    ...referencedFamilies(document).map(
      ({ stylesheet }) => `<link rel="preload" href="${escapeHtml(stylesheet)}" as="style">`,
    ),
    '<link rel="stylesheet" href="lettera.css">',
    ...(document.delivery.visits ? ['<script src="visits.js" defer></script>'] : []),
    '',
  ].join('\n');
}
