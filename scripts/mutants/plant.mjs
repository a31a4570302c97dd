/** Where a single fault can be planted in a source text, and the text with all of them asleep in it. */
import { readFileSync } from 'node:fs';
import ts from 'typescript';

const OTHER = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '<': '>=',
  '<=': '>',
  '>': '<=',
  '>=': '<',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
};
const isText = (node) => ts.isStringLiteralLike(node) || ts.isTemplateExpression(node);

/** Every place of a file where one fault can be planted: from, to, what stands there instead. */
export function places(path) {
  const text = readFileSync(path, 'utf8');
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const found = [];
  // The whole expression is put behind the switch, `was` → `by` is what is told of it.
  const plant = (node, was, by, woken) =>
    found.push({ path, at: node.getStart(), end: node.getEnd(), was, by, woken });
  const piece = (from, to) => text.slice(from, to);
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const sign = node.operatorToken.getText();
      if (OTHER[sign] && !isText(node.left) && !isText(node.right))
        plant(
          node,
          sign,
          OTHER[sign],
          piece(node.getStart(), node.operatorToken.getStart()) +
            OTHER[sign] +
            piece(node.operatorToken.getEnd(), node.getEnd()),
        );
    } else if (ts.isPrefixUnaryExpression(node)) {
      const sign = text[node.getStart()];
      if (sign === '-' || sign === '!')
        plant(node, node.getText(), node.operand.getText(), node.operand.getText());
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) plant(node, 'true', 'false', 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) plant(node, 'false', 'true', 'true');
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** One line before all others: notes in `__met` which place was come by, and knows which fault is awake. */
const head = (count) =>
  `var __met = globalThis.__met ?? new Uint8Array(${count}), __awake = Number(globalThis.process?.env.WAFFENRAD_FAULT ?? -1); `;

function asleep(text, faults, from, to) {
  const inside = faults.filter(({ at, end }) => at >= from && end <= to);
  const outer = inside.filter(
    (fault) =>
      !inside.some((other) => other !== fault && other.at <= fault.at && other.end >= fault.end),
  );
  let out = '';
  let at = from;
  for (const fault of outer.sort((a, b) => a.at - b.at)) {
    // One inside another stands where the outer sleeps.
    const rest = inside.filter((other) => other !== fault);
    const calm = asleep(text, rest, fault.at, fault.end);
    out += `${text.slice(at, fault.at)}(__met[${fault.number}] = 1, __awake === ${fault.number} ? ${fault.woken} : ${calm})`;
    at = fault.end;
  }
  return out + text.slice(at, to);
}

/** The text of a file with every one of `faults` behind its switch; so many there are in all. */
export const withSwitches = (text, faults, count) =>
  head(count) + asleep(text, faults, 0, text.length);
