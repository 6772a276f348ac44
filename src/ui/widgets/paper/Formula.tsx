import {
  createContext,
  createElement,
  useContext,
  useEffect,
  useRef,
  useState,
  type ReactNode,
  type RefObject,
} from 'react';
import type { Formula as Data } from '@/core/content/formula';
import { inWordsAlone, partsOf } from '@/core/content/formulaText';

/** Elements that draw something, and nothing else: they run, load and link nothing. */
const ELEMENTS = new Set([
  'math', 'mrow', 'mi', 'mn', 'mo', 'mtext', 'ms', 'mspace', 'mfrac', 'msqrt', 'mroot', 'mstyle', 'mphantom', 'mpadded', 'menclose',
  'msub', 'msup', 'msubsup', 'munder', 'mover', 'munderover', 'mmultiscripts', 'mprescripts', 'mtable', 'mtr', 'mtd',
]); // prettier-ignore

/** Attributes that say how something is set. Colours are not among them: a formula has the colour of its text. */
const ATTRIBUTES = new Set([
  'accent', 'accentunder', 'columnspan', 'depth', 'displaystyle', 'fence', 'form', 'height', 'largeop', 'linethickness', 'lspace',
  'mathvariant', 'maxsize', 'minsize', 'movablelimits', 'notation', 'rowspan', 'rspace', 'scriptlevel', 'separator', 'stretchy',
  'symmetric', 'voffset', 'width',
]); // prettier-ignore

const PLAIN_VALUE = /^[\w.%+ -]{1,40}$/;
const PLAIN_CLASS = /^(tml|chr)-[a-z0-9-]{1,20}$|^(up|down)strike$|^mathcal$/;
const PADDING = /padding-(left|right):\s*([\d.]{1,8}(?:em|pt|ex))/g;

/** Of an inline style only what parts the columns of a table. */
function paddingOf(style: string): Record<string, string> {
  const found: Record<string, string> = {};
  for (const [, side, value] of style.matchAll(PADDING))
    found[side === 'left' ? 'paddingLeft' : 'paddingRight'] = value ?? '';
  return found;
}

function propsOf(element: Element): Record<string, unknown> {
  const props: Record<string, unknown> = {};
  for (const { name, value } of element.attributes)
    if (ATTRIBUTES.has(name) && PLAIN_VALUE.test(value)) props[name] = value;
  const classes = [...element.classList].filter((name) => PLAIN_CLASS.test(name));
  if (classes.length > 0) props['className'] = classes.join(' ');
  const style = paddingOf(element.getAttribute('style') ?? '');
  if (Object.keys(style).length > 0) props['style'] = style;
  return props;
}

/** An element of the markup as one of the page; what draws nothing leaves its text. */
function drawn(element: Element, key: number): ReactNode {
  const inner = [...element.childNodes].map((node, at): ReactNode => {
    if (node instanceof Element) return drawn(node, at);
    return node.nodeType === Node.TEXT_NODE ? node.textContent : null;
  });
  if (!ELEMENTS.has(element.localName)) return element.textContent;
  return createElement(element.localName, { key, ...propsOf(element) }, ...inner);
}

const known = new Map<string, ReactNode>();
const MOST_KNOWN = 500;

/** The inside of a formula's markup, read once; null where it cannot be read. */
function inside(mathml: string): ReactNode {
  const before = known.get(mathml);
  if (before !== undefined) return before;
  const root = new DOMParser().parseFromString(mathml, 'application/xml').documentElement;
  const broken = root.localName !== 'math';
  const made = broken ? null : [...root.children].map(drawn);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(mathml, made);
  return made;
}

/** Whether a formula is wider than the text it stands in, which then slides. */
function useSlides(math: RefObject<Element | null>): boolean {
  const [slides, setSlides] = useState(false);
  useEffect(() => {
    const own = math.current;
    const box = own?.closest('p, li, legend, label');
    if (!own || !box) return;
    const watch = new ResizeObserver(() => setSlides(own.getBoundingClientRect().width > box.clientWidth));
    watch.observe(box);
    return () => watch.disconnect();
  }, [math]);
  return slides;
}

/** A formula as it is set; by a screen reader it is read in words. One that slides can be reached by keys. */
export function Formula({ formula }: { readonly formula: Data }) {
  const math = useRef<Element>(null);
  const slides = useSlides(math);
  const made = inside(formula.mathml);
  if (made === null) return <code>{formula.tex}</code>;
  const label = formula.words || formula.tex;
  return createElement('math', { ref: math, 'aria-label': label, tabIndex: slides ? 0 : undefined }, made);
}

const Known = createContext<readonly Data[]>([]);

interface OwnerProps {
  /** What was made of the formulas in all texts within. */
  readonly formulas: readonly Data[] | undefined;
  readonly children: ReactNode;
}

const NONE: readonly Data[] = [];

/** The texts within may hold these formulas. */
export const WithFormulas = ({ formulas = NONE, children }: OwnerProps) => (
  <Known.Provider value={formulas}>{children}</Known.Provider>
);

/** A text with its formulas set; one that could not be set stays as it was typed. */
export function Words({ text }: { readonly text: string }) {
  const formulas = useContext(Known);
  if (formulas.length === 0) return text;
  return partsOf(text).map((part, at) => {
    if ('words' in part) return part.words;
    const formula = formulas.find(({ tex }) => tex === part.tex);
    return formula ? <Formula key={at} formula={formula} /> : part.written;
  });
}

/** A text as it is read aloud, for names that hold words alone. */
export function useSpoken(): (text: string) => string {
  const formulas = useContext(Known);
  return (text) => inWordsAlone(text, formulas);
}
