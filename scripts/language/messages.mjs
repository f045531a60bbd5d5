import ts from 'typescript';

/*
 * Finds the texts of the interface in a source file. A text is what a person reads: a literal, a template, or all that stands between
 * two tags. Places for values are {0}, {1} … in their order, so that a translation may put them elsewhere.
 */

/** Attributes of elements that hold names of things in the code. */
const CODE_ATTRIBUTES =
  /^(className|id|key|href|htmlFor|type|role|d|viewBox|transform|data-[a-z-]+|fill|stroke|rel|sizes|form|autoComplete|inputMode|kind|tone|as|accept|points|font)$/;

/** Calls whose arguments are names of things in the code. */
const CODE_CALLS =
  /^(classes|cx|require|import|querySelector|querySelectorAll|addEventListener|matchMedia|getElementById|fetch|test|exec|stores|closest|matches)$/;

/** Properties and attributes that hold words, however short. */
const WORD_PROPERTIES =
  /^(label|title|text|name|names|say|says|said|words|hint|why|note|what|told|short|long|plural|one|many|more|several|aria-label|placeholder|caption|empty|head|lead|legend|message|unit|reason|action|verb|noun|sign|looks|answer|question|symptom|heading|tail|description|tool|prefix|suffix|low|high|softer|harder|from|to)$/;

/** Calls whose arguments are words, however short. */
const WORD_CALLS =
  /^(count|several|many|counted|line|row|plain|text|field|listed|say|told|capital|upperFirst|lowerFirst|number|whole)$/;

/** A class of the style sheet. */
const STYLE =
  /^(flex|grid|num|hidden|block|absolute|relative|sticky|fixed|underline|inline-block)$|^[a-z-]+:[a-z-]|^-?(m|p|mx|my|mt|mb|ms|me|px|py|pt|pb|ps|pe|w|h|gap|text|bg|border|grid|flex|items|justify|rounded|min|max|inset|z|space|font|leading|sr|col|row|order|overflow|whitespace|self|size|act|rule)-[a-z0-9[]/;

const letters = /[A-Za-z]{2,}/;

/** Words with a space between them, or one word that begins with a capital. */
function reads(text) {
  const plain = text.trim();
  return letters.test(plain) && (/\s/.test(plain) || /^[A-Z][a-z]+(-[a-z]+)*[.:?]?$/.test(plain));
}

/** A template reads as words where one of them stands by itself. */
function templateReads(text) {
  const plain = text.replace(/\{\d+\}/g, '0');
  return /\s/.test(text) && /(^|[\s“(])[A-Za-z’]{2,}[,.;:?]?(?=$|[\s”)])/.test(plain) && !classLike(text);
}

/** A list of classes of the style sheet. */
function classLike(text) {
  const words = text.split(/\s+/);
  const styled = words.filter((word) => STYLE.test(word));
  return styled.length > 0 && styled.length >= words.length / 2 && !/[.!?,;]$/.test(text);
}

function nameOf(node) {
  if (node === undefined) return '';
  if (ts.isIdentifier(node) || ts.isStringLiteral(node) || ts.isPrivateIdentifier(node)) return node.text;
  if (ts.isJsxNamespacedName(node)) return node.getText();
  return '';
}

function calleeOf(call) {
  const called = call.expression;
  return ts.isPropertyAccessExpression(called) ? called.name.text : called.getText();
}

/** Whether a literal stands where the code needs its own word: in a comparison, a type, an import, the name of a property. */
function isCode(node) {
  const { parent } = node;
  if (ts.isLiteralTypeNode(parent) || ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent)) return true;
  if (ts.isExpressionStatement(parent) || ts.isCaseClause(parent) || ts.isExternalModuleReference(parent)) return true;
  if (
    (ts.isPropertyAssignment(parent) || ts.isPropertySignature(parent) || ts.isEnumMember(parent)) &&
    parent.name === node
  )
    return true;
  if (ts.isElementAccessExpression(parent) && parent.argumentExpression === node) return true;
  if (
    ts.isBinaryExpression(parent) &&
    /^(===|!==|==|!=|in|<|>)$/.test(ts.tokenToString(parent.operatorToken.kind) ?? '')
  )
    return true;
  for (let at = parent; at !== undefined; at = at.parent) {
    if (ts.isJsxAttribute(at)) return CODE_ATTRIBUTES.test(at.name.getText());
    if (ts.isTypeNode(at)) return true;
    if (ts.isCallExpression(at) && at.expression !== node && CODE_CALLS.test(calleeOf(at))) return true;
    if (ts.isNewExpression(at) && /^(RegExp|Worker|URL|Set|Collator)$/.test(at.expression.getText())) return true;
    if (ts.isTaggedTemplateExpression(at)) return true;
    if (ts.isJsxElement(at) || ts.isBlock(at) || ts.isArrowFunction(at)) break;
  }
  return false;
}

/** Whether an object holds a text for each of its keys, as its type says. */
function isOfWords(object) {
  const { parent } = object;
  return (
    ts.isVariableDeclaration(parent) &&
    parent.type !== undefined &&
    /Record<[^]*,\s*(readonly )?(string|\[[a-z]+: string, [a-z]+: string\])>+$/.test(parent.type.getText())
  );
}

/** Whether a word of small letters stands where people read it. */
function isWordPlace(node) {
  let at = node;
  let chosen = false;
  for (;;) {
    const { parent } = at;
    if (ts.isParenthesizedExpression(parent) || ts.isAsExpression(parent) || ts.isSatisfiesExpression(parent))
      at = parent;
    else if (ts.isConditionalExpression(parent) && parent.condition !== at) {
      at = parent;
      chosen = true;
    } else if (
      ts.isBinaryExpression(parent) &&
      /^(\?\?|\|\||&&|\+)$/.test(ts.tokenToString(parent.operatorToken.kind) ?? '')
    )
      at = parent;
    else if (ts.isArrayLiteralExpression(parent)) at = parent;
    else if (ts.isElementAccessExpression(parent) && parent.expression === at) at = parent;
    else if (ts.isSpreadElement(parent)) at = parent;
    else break;
  }
  const { parent } = at;
  if (ts.isTemplateSpan(parent)) return true;
  if (ts.isJsxExpression(parent))
    return ts.isJsxAttribute(parent.parent) ? WORD_PROPERTIES.test(parent.parent.name.getText()) : true;
  if (ts.isJsxAttribute(parent)) return WORD_PROPERTIES.test(parent.name.getText());
  if (ts.isPropertyAssignment(parent)) return WORD_PROPERTIES.test(nameOf(parent.name)) || isOfWords(parent.parent);
  if (ts.isCallExpression(parent)) return WORD_CALLS.test(calleeOf(parent));
  if (ts.isReturnStatement(parent) || ts.isArrowFunction(parent)) {
    for (let up = parent; up !== undefined; up = up.parent)
      if (ts.isFunctionLike(up)) return up.type !== undefined && /^string( \| null)?$/.test(up.type.getText());
  }
  if (ts.isVariableDeclaration(parent))
    return parent.type === undefined ? chosen : /^(readonly )?string\[\]$/.test(parent.type.getText());
  return false;
}

/** What the text between two tags shows: lines are joined, and space at their ends goes. */
function shown(text) {
  const lines = text.split(/\r\n|\n|\r/);
  return lines
    .map((line, index) => {
      let kept = line.replace(/\t/g, ' ');
      if (index > 0) kept = kept.replace(/^ +/, '');
      if (index < lines.length - 1) kept = kept.replace(/ +$/, '');
      return kept;
    })
    .filter((line) => line !== '')
    .join(' ');
}

const decoded = (text) =>
  text
    .replace(/&nbsp;/g, '\u00a0')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&apos;|&#39;/g, "'")
    .replace(/&amp;/g, '&');

/** The text of what stands between two tags; null where there are no words of its own. */
function between(children) {
  const places = [];
  let text = '';
  for (const child of children) {
    if (ts.isJsxText(child)) text += decoded(shown(child.text));
    else if (ts.isJsxExpression(child) && child.expression === undefined) continue;
    else if (
      ts.isJsxExpression(child) &&
      ts.isStringLiteralLike(child.expression) &&
      child.expression.text.trim() === ''
    )
      text += child.expression.text;
    else {
      text += `{${places.length}}`;
      places.push(child);
    }
  }
  const own = children.some((child) => ts.isJsxText(child) && letters.test(child.text));
  return own ? { text, places } : null;
}

/**
 * The texts of a source file in their order, outer ones before what stands in them.
 * @param path of the file; its ending says whether tags may stand in it
 * @param code the file
 * @returns of each text: its words with places, its kind (literal, attribute, template, children), where it stands, and where its places do
 */
export function messagesIn(path, code) {
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true);
  const found = [];
  const span = (node) => ({ start: node.getStart(), end: node.getEnd() });
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      const word = /^[a-z][a-z’-]+$/.test(node.text.trim()) && isWordPlace(node);
      if (!isCode(node) && !classLike(node.text) && (word || reads(node.text)))
        found.push({
          text: node.text,
          kind: ts.isJsxAttribute(node.parent) ? 'attribute' : 'literal',
          ...span(node),
          places: [],
        });
      return;
    }
    if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map((part, index) => `{${index}}${part.literal.text}`).join('');
      if (templateReads(text) && !isCode(node))
        found.push({
          text,
          kind: 'template',
          ...span(node),
          places: node.templateSpans.map((part) => span(part.expression)),
        });
    } else if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const whole = between(node.children);
      if (whole !== null && node.children.length > 0)
        found.push({
          text: whole.text,
          kind: 'children',
          start: node.children[0].getFullStart(),
          end: node.children[node.children.length - 1].getEnd(),
          places: whole.places.map((place) => span(place)),
        });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.sort((a, b) => a.start - b.start || b.end - a.end);
}
