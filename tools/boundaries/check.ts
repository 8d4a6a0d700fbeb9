import path from 'node:path';
import ts from 'typescript';
import { clocks, foreign, rooms } from './rooms';

/** One thing a file says that its room does not allow, in a sentence. */
export interface Refused {
  file: string;
  says: string;
}

/** The room a file of src stands in: "core/mix", "lib/store", "routes". */
export function roomOf(file: string): string {
  const [, first = '', second = ''] = file.split('/');
  if (first === 'core' || first === 'lib') return second.includes('.') ? `${first}/${second.replace(/\..*$/, '')}` : `${first}/${second}`;
  return first.includes('.') ? 'app' : first;
}

/** Scripts of a file: all of it, or what stands between the script tags of a component. */
const scriptsOf = (file: string, text: string): string =>
  file.endsWith('.svelte')
    ? [...text.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].map((m) => m[1]).join('\n') + markupImports(text)
    : text;
/** Imports in the markup of a component: `{#await import('./Part.svelte')}`. */
const markupImports = (text: string): string =>
  [...text.replace(/<script[\s\S]*?<\/script>/g, '').matchAll(/import\(\s*(['"][^'"]+['"])\s*\)/g)]
    .map((m) => `\nimport(${m[1]});`)
    .join('');

/** Everything a file imports, however it is spelled: static, dynamic, as a type, or a worker by its address. */
export function importsOf(file: string, text: string): string[] {
  const script = scriptsOf(file, text);
  const found = ts.preProcessFile(script, true, true).importedFiles.map((f) => f.fileName);
  const workers = [...script.matchAll(/new URL\(\s*['"](\.[^'"]+)['"]\s*,\s*import\.meta\.url/g)].map((m) => m[1]!);
  return [...new Set([...found, ...workers])];
}

/** What a specifier leads to: a file of src without its ending, or a package. */
export function leadsTo(file: string, specifier: string): { path: string } | { package: string } {
  if (specifier.startsWith('#core/')) return { path: `src/core/${specifier.slice(6)}` };
  if (specifier.startsWith('$lib/')) return { path: `src/lib/${specifier.slice(5)}` };
  if (specifier.startsWith('.')) return { path: path.posix.join(path.posix.dirname(file), specifier.replace(/\?.*$/, '')) };
  const parts = specifier.split('/');
  return {
    package: specifier.startsWith('@')
      ? parts.slice(0, 2).join('/')
      : specifier.startsWith('node:') || specifier.startsWith('$')
        ? specifier
        : parts[0]!,
  };
}

/** Why a file may not import something; undefined where it may. */
function refusedImport(file: string, specifier: string): string | undefined {
  const room = roomOf(file);
  const may = rooms[room];
  if (!may) return `The room ${room} has no entry in tools/boundaries/rooms.ts.`;
  const to = leadsTo(file, specifier);
  if ('package' in to) {
    if (may.packages?.some((p) => (p.endsWith('*') ? to.package.startsWith(p.slice(0, -1)) : p === to.package))) return undefined;
    return `${room} may not import the package ${to.package}.`;
  }
  const other = roomOf(`${to.path}.ts`);
  if (other === room) return specifier.startsWith('#core/') ? `Within ${room}, write the way to the file itself.` : undefined;
  if (!may.rooms.includes(other)) return `${room} may not import from ${other} (${specifier}).`;
  if (other.startsWith('core/') && !/^#core\/\w+$/.test(specifier))
    return `Another room of the core is reached as #${other} alone, not as ${specifier}.`;
  const hidden = may.hidden?.find((h) => to.path === h);
  return hidden ? `${room} may not know ${hidden}.` : undefined;
}

/** Names a core file uses that are not the language's: clocks, chance, timers, and what belongs to Node or the browser. */
function refusedNames(text: string): string[] {
  const says: string[] = [];
  const source = ts.createSourceFile('x.ts', text, ts.ScriptTarget.ES2023, true);
  const visit = (node: ts.Node): void => {
    if (ts.isIdentifier(node) && foreign.includes(node.text) && isUse(node))
      says.push(`The core does not know “${node.text}”; what it needs is passed in.`);
    if (ts.isPropertyAccessExpression(node) && clocks.includes(node.getText())) says.push(`The core has no ${node.getText()}; pass it in.`);
    if (ts.isNewExpression(node) && node.expression.getText() === 'Date' && !node.arguments?.length)
      says.push('The core has no clock; pass the moment in.');
    if (ts.isCallExpression(node) && node.expression.getText() === 'Date') says.push('The core has no clock; pass the moment in.');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return says;
}

/** Whether an identifier is read as a value, and is not the name of a property, a field or a type of the file's own. */
function isUse(node: ts.Identifier): boolean {
  const { parent } = node;
  if (ts.isPropertyAccessExpression(parent)) return parent.expression === node;
  if (ts.isPropertyAssignment(parent) || ts.isBindingElement(parent)) return parent.initializer === node;
  return !(
    ts.isPropertySignature(parent) ||
    ts.isPropertyDeclaration(parent) ||
    ts.isMethodDeclaration(parent) ||
    ts.isQualifiedName(parent) ||
    ts.isLiteralTypeNode(parent) ||
    ts.isImportSpecifier(parent) ||
    ts.isExportSpecifier(parent)
  );
}

/** What of a file its room does not allow. */
export function check(file: string, text: string): Refused[] {
  const says = importsOf(file, text).flatMap((specifier) => refusedImport(file, specifier) ?? []);
  const names = file.startsWith('src/core/') && file.endsWith('.ts') ? refusedNames(text) : [];
  return [...says, ...names].map((s) => ({ file, says: s }));
}

/** Circles among files that import one another, each as the files on it. */
export function circles(imports: ReadonlyMap<string, readonly string[]>): string[][] {
  const [index, low] = [new Map<string, number>(), new Map<string, number>()];
  const stack: string[] = [];
  const found: string[][] = [];
  const walk = (file: string): void => {
    index.set(file, index.size);
    low.set(file, index.get(file)!);
    stack.push(file);
    for (const to of imports.get(file) ?? []) {
      if (!index.has(to)) walk(to);
      if (stack.includes(to)) low.set(file, Math.min(low.get(file)!, low.get(to)!));
    }
    if (low.get(file) !== index.get(file)) return;
    const circle = stack.splice(stack.indexOf(file));
    if (circle.length > 1) found.push(circle);
  };
  for (const file of imports.keys()) if (!index.has(file)) walk(file);
  return found;
}
