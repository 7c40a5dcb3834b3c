import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NodeTypes, parse, type TemplateChildNode } from '@vue/compiler-dom';
import { describe, expect, test } from '@jest/globals';
import ts from 'typescript';

/**
 * What a person reads is in the words of the trade and of everyday English. Each pattern is a word that has a plainer
 * one, and stands beside it.
 */
const PLAINER: readonly (readonly [pattern: RegExp, plain: string])[] = [
  [/\btake it\b|\btake what\b/i, 'use, add, apply'],
  [/\b(take|takes|taken|taking) (\S+ )?out\b|^out$/i, 'remove'],
  [/\b(take|takes|taken|taking) in\b|\bbrought in\b/i, 'add'],
  [/\b(take|takes|taken|taking) over\b/i, 'use in this project; begin'],
  [/^take (?!stock)/i, 'use, add'],
  [/^point$|^point at (?!text to)/i, 'show on the page'],
  [/\bnarrow(ed)? (by|further)\b|^narrowed$/i, 'filter'],
  [/\bke(ep|pt) aside\b/i, 'shortlist'],
  [/^looking$/i, 'view'],
  [/\bgrounds?\b(?!-)/i, 'background'],
  [/\bwhole room\b|\bfold the proof\b/i, 'full width; hide the page'],
  [/\breckon/i, 'work out'],
  [/\bagainst itself\b/i, 'conflicts'],
  [/\bto put right\b/i, 'clean-up'],
  [/\bwears?\b|\bworn\b/i, 'use'],
  [/\blands? on\b/i, 'get'],
  [/\bcomes? to\b/i, 'be'],
  [/\b(is|are) told\b/i, 'be shown'],
  [/\bways round\b/i, 'how to win over'],
  [/[a-z]!/i, 'no exclamation marks'],
];

/** Names that look like words: keys of the code, and what is written for the machine. */
const isProse = (text: string): boolean => /[a-z]/i.test(text) && /\s|^[A-Z]/.test(text);

const faultsIn = (said: string): string[] => {
  const text = said.replace(/\s+/g, ' ').trim();
  return PLAINER.filter(([pattern]) => pattern.test(text)).map(
    ([, plain]) => `“${text.slice(0, 90)}”: say ${plain}`,
  );
};

/** Everything in quotes in a piece of code; what stands in braces in it is a place for a value. */
function quotedIn(code: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isStringLiteralLike(node)) found.push(node.text);
    if (ts.isTemplateExpression(node)) {
      found.push(node.head.text + node.templateSpans.map((one) => `…${one.literal.text}`).join(''));
    }
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('a.ts', code, ts.ScriptTarget.ES2022, true));
  return found.filter(isProse);
}

const READ_ALOUD = ['label', 'title', 'aria-label', 'placeholder', 'header', 'on', 'why', 'least'];

/** Everything that a template says: its text, what names its parts, and what is quoted in its expressions. */
function saidIn(node: TemplateChildNode): string[] {
  switch (node.type) {
    case NodeTypes.TEXT:
      return [node.content];
    case NodeTypes.INTERPOLATION:
      return node.content.type === NodeTypes.SIMPLE_EXPRESSION
        ? quotedIn(`(${node.content.content})`)
        : [];
    case NodeTypes.ELEMENT:
      return [
        ...node.props.flatMap((prop) => {
          if (prop.type === NodeTypes.ATTRIBUTE) {
            return READ_ALOUD.includes(prop.name) && prop.value ? [prop.value.content] : [];
          }
          const { exp } = prop;
          return exp?.type === NodeTypes.SIMPLE_EXPRESSION ? quotedIn(`(${exp.content})`) : [];
        }),
        ...node.children.flatMap(saidIn),
      ];
    default:
      return [];
  }
}

function templateOf(component: string): TemplateChildNode[] {
  const from = component.indexOf('<template>');
  const to = component.lastIndexOf('</template>') + '</template>'.length;
  return from < 0 ? [] : parse(component.slice(from, to)).children;
}

function wordsOf(path: string): string[] {
  const text = readFileSync(path, 'utf8');
  if (path.endsWith('.ts')) return quotedIn(text);
  const script = /<script setup[^>]*>([\s\S]*?)<\/script>/.exec(text)?.[1] ?? '';
  return [...quotedIn(script), ...templateOf(text).flatMap(saidIn)];
}

/** What stands in these is written for the machine. */
const FOR_THE_MACHINE = ['code', 'kbd', 'pre'];
const IN_WORDS = ['label', 'title', 'aria-label', 'header', 'why', 'least'];

/** What a figure is in: no word of any language. */
const UNIT = /^\W*(px|rem|em|pt|ms|s|KB|MB|vw|cqi|fr|deg)\W*$/;

/** What an expression gives to be read, where it is written in it: not what it compares with or hands on. */
function writtenIn(code: string): string[] {
  const visit = (node: ts.Node): string[] => {
    if (ts.isParenthesizedExpression(node)) return visit(node.expression);
    if (ts.isConditionalExpression(node))
      return [...visit(node.whenTrue), ...visit(node.whenFalse)];
    if (ts.isBinaryExpression(node)) {
      const { kind } = node.operatorToken;
      const passes = [
        ts.SyntaxKind.QuestionQuestionToken,
        ts.SyntaxKind.BarBarToken,
        ts.SyntaxKind.PlusToken,
      ].includes(kind);
      return [
        ...(passes ? visit(node.left) : []),
        ...(passes || kind === ts.SyntaxKind.AmpersandAmpersandToken ? visit(node.right) : []),
      ];
    }
    if (ts.isStringLiteralLike(node)) return [node.text];
    if (ts.isTemplateExpression(node)) {
      return [
        node.head.text,
        ...node.templateSpans.flatMap((one) => [...visit(one.expression), one.literal.text]),
      ];
    }
    return [];
  };
  const source = ts.createSourceFile('a.ts', `(${code})`, ts.ScriptTarget.ES2022, true);
  return source.statements
    .flatMap((one) => (ts.isExpressionStatement(one) ? visit(one.expression) : []))
    .filter((text) => /\p{L}/u.test(text) && !UNIT.test(text));
}

/** Words that a template holds itself, in place of having them from its stage's own. */
function ownWordsIn(node: TemplateChildNode): string[] {
  if (node.type === NodeTypes.TEXT) return /\p{L}/u.test(node.content) ? [node.content.trim()] : [];
  if (node.type === NodeTypes.INTERPOLATION) {
    return node.content.type === NodeTypes.SIMPLE_EXPRESSION ? writtenIn(node.content.content) : [];
  }
  if (node.type !== NodeTypes.ELEMENT || FOR_THE_MACHINE.includes(node.tag)) return [];
  const named = node.props.flatMap((prop) => {
    if (prop.type === NodeTypes.ATTRIBUTE) {
      return IN_WORDS.includes(prop.name) && prop.value ? [prop.value.content] : [];
    }
    const { arg, exp } = prop;
    const isRead =
      prop.name === 'bind' &&
      arg?.type === NodeTypes.SIMPLE_EXPRESSION &&
      IN_WORDS.includes(arg.content);
    return isRead && exp?.type === NodeTypes.SIMPLE_EXPRESSION ? writtenIn(exp.content) : [];
  });
  return [...named.filter((text) => /\p{L}{2}/u.test(text)), ...node.children.flatMap(ownWordsIn)];
}

const FOLDERS = ['web', 'core', 'server', 'cli', 'sample', 'foundry'];
const files = FOLDERS.flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((path) => join(folder, path)),
).filter(
  (path) =>
    /\.(vue|ts)$/.test(path) &&
    !/\.(test|d)\.ts$|node_modules|\/(testing|golden|languages|types)\//.test(path),
);

describe('words that a person reads', () => {
  test.each(FOLDERS)('are plain in %s', (folder) => {
    const own = files.filter((path) => path.startsWith(`${folder}/`));
    expect(own.length).toBeGreaterThan(0);
    expect(
      own.flatMap((path) =>
        wordsOf(path)
          .flatMap(faultsIn)
          .map((fault) => `${path}: ${fault}`),
      ),
    ).toEqual([]);
  });

  test('stand in the words of a stage, and in none of its components', () => {
    // The page that shows the controls to those who build with them has examples of its own.
    const components = files.filter(
      (path) => path.endsWith('.vue') && !path.endsWith('/ControlsPage.vue'),
    );
    expect(components.length).toBeGreaterThan(100);
    expect(
      components.flatMap((path) =>
        templateOf(readFileSync(path, 'utf8'))
          .flatMap(ownWordsIn)
          .map((text) => `${path}: ${text}`),
      ),
    ).toEqual([]);
    const [other] = parse(
      '<p title="Use it" :label="a ?? `by ${c}`">Out <b>{{ a }} px</b><code>rem</code>' +
        '{{ a === "left" ? say("right") : "kept" }}{{ `${a} px` }}</p>',
    ).children;
    expect(other ? ownWordsIn(other) : []).toEqual(['Use it', 'by ', 'Out', 'px', 'kept']);
  });

  test('are found wherever they stand', () => {
    const [root] = parse(
      '<p title="Take it">Out {{ a ? `Reckoned ${b}` : "Keep aside" }}<B :label="`Taken in`" /></p>',
    ).children;
    const said = root ? saidIn(root) : [];
    expect(said.flatMap(faultsIn)).toHaveLength(6);
    expect(faultsIn('Take stock')).toEqual([]);
  });
});
