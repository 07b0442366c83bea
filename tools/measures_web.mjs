// The front end's rows of `make measures`, by the compiler's own reader; run in web/.
import { readdirSync, readFileSync, statSync } from "node:fs";
import { createRequire } from "node:module";
import { join, relative } from "node:path";

const ts = createRequire(join(process.cwd(), "package.json"))("typescript");
const ROOT = join(process.cwd(), "src");

function* files(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* files(path);
    else if (/\.tsx?$/.test(name) && !path.endsWith("api/schema.ts")) yield path;
  }
}

const isFunction = (n) =>
  ts.isFunctionDeclaration(n) || ts.isFunctionExpression(n) || ts.isArrowFunction(n) || ts.isMethodDeclaration(n);

/** What makes a path more, without what stands in functions of its own unless `nested`. */
function decisions(node, nested) {
  let count = 0;
  ts.forEachChild(node, (child) => {
    if (!nested && isFunction(child)) return;
    if (
      ts.isIfStatement(child) || ts.isConditionalExpression(child) || ts.isForStatement(child) ||
      ts.isForOfStatement(child) || ts.isForInStatement(child) || ts.isWhileStatement(child) ||
      ts.isCaseClause(child) || ts.isCatchClause(child)
    ) count += 1;
    if (
      ts.isBinaryExpression(child) &&
      [ts.SyntaxKind.AmpersandAmpersandToken, ts.SyntaxKind.BarBarToken, ts.SyntaxKind.QuestionQuestionToken].includes(
        child.operatorToken.kind,
      )
    ) count += 1;
    count += decisions(child, nested);
  });
  return count;
}

const nameOf = (n) => n.name?.getText?.() ?? n.parent?.name?.getText?.() ?? "";

const each = [];
const components = [];
let lines = 0;
let testLines = 0;
for (const path of files(ROOT)) {
  const text = readFileSync(path, "utf8");
  const count = text.split("\n").filter((l) => l.trim()).length;
  if (path.includes(".test.") || path.includes("/testing/")) {
    testLines += count;
    continue;
  }
  lines += count;
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const visit = (node) => {
    if (isFunction(node)) {
      const name = `${relative(ROOT, path)}: ${nameOf(node)}`;
      each.push([1 + decisions(node, false), name]);
      if (path.endsWith(".tsx") && /^[A-Z]/.test(nameOf(node))) {
        const at = (p) => source.getLineAndCharacterOfPosition(p).line;
        components.push([at(node.getEnd()) - at(node.getStart()) + 1, decisions(node, false), name]);
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
}
each.sort((a, b) => b[0] - a[0]);
const longest = components.toSorted((a, b) => b[0] - a[0])[0];
const branchiest = components.toSorted((a, b) => b[1] - a[1])[0];
console.log(
  JSON.stringify({
    lines,
    test_lines: testLines,
    test_share: (testLines / (lines + testLines)) * 100,
    over: (each.filter(([n]) => n > 10).length / each.length) * 100,
    largest: each[0][0],
    largest_name: each[0][1],
    component_lines: longest[0],
    component: longest[2],
    component_branches: branchiest[1],
    component_by_branches: branchiest[2],
    over_150: components.filter(([n]) => n > 150).length,
    over_15: components.filter(([, n]) => n > 15).length,
    complex: each.filter(([n]) => n > 20).map(([n, name]) => `${n} ${name}`),
    long: components.filter(([n]) => n > 150).map(([n, , name]) => `${n} ${name}`),
    branchy: components.filter(([, n]) => n > 15).map(([, n, name]) => `${n} ${name}`),
  }),
);
