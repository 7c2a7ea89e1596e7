import {
  absDependencies,
  addDependencies,
  create,
  divideDependencies,
  evaluateDependencies,
  expDependencies,
  multiplyDependencies,
  powDependencies,
  roundDependencies,
  sqrtDependencies,
  subtractDependencies,
  unaryMinusDependencies,
  unaryPlusDependencies,
} from 'mathjs/number';

export type Angle = 'degrees' | 'radians';

/** What a calculation comes to; a fault is a sentence. */
export type Reckoned = { value: string } | { fault: string };

/** Only what is needed: the whole of it weighs as much as the rest of the page. */
const math = create({
  ...evaluateDependencies,
  ...addDependencies,
  ...subtractDependencies,
  ...multiplyDependencies,
  ...divideDependencies,
  ...powDependencies,
  ...unaryMinusDependencies,
  ...unaryPlusDependencies,
  ...sqrtDependencies,
  ...absDependencies,
  ...expDependencies,
  ...roundDependencies,
});

/** Signs as people write them, told as the parser reads them. */
const SIGNS: [RegExp, string][] = [
  [/(\d)[\u00a0\u202f ](?=\d{3}(?!\d))/g, '$1'],
  [/(\d),(\d)/g, '$1.$2'],
  [/[×·⋅]/g, '*'],
  [/[÷:]/g, '/'],
  [/[−–]/g, '-'],
  [/√\s*(\d+(?:\.\d+)?|\([^()]*\)|[a-z]+)/g, 'sqrt($1)'],
  [/π/g, 'pi'],
  [/²/g, '^2'],
  [/³/g, '^3'],
  [/°/g, ''],
  // Ten per cent is a tenth, never the rest of a division.
  [/(\d|\))\s*%/g, '$1/100'],
];

const CIRCLE = ['sin', 'cos', 'tan'] as const;
const BACK = ['asin', 'acos', 'atan'] as const;
const KNOWN = new Set(['sqrt', 'abs', 'log', 'ln', 'exp', 'pi', 'e', 'ans', 'round', ...CIRCLE, ...BACK]);

/**
 * Reckons what is typed: + − × ÷ ^ √ %, brackets, sin, cos, tan and back, log (to ten), ln, π, and `ans` for the last
 * result. Commas and points both stand for decimals.
 */
export function calculate(typed: string, angle: Angle = 'degrees', last = '0'): Reckoned {
  const text = SIGNS.reduce((all, [sign, as]) => all.replace(sign, as), typed.trim());
  if (text === '') return { fault: 'Type a calculation, such as 4.5 × 60 / 5.' };
  if (text.length > 300) return { fault: 'This calculation is too long. Do it in steps.' };
  if (/[^\w\s.+\-*/^()]/.test(text)) return { fault: 'There is a sign in it that cannot be reckoned with.' };
  const stranger = (text.match(/[a-z_]\w*/gi) ?? []).find((word) => !KNOWN.has(word.toLowerCase()));
  if (stranger) return { fault: `“${stranger}” is no function here.` };
  try {
    const value: unknown = math.evaluate(text.toLowerCase(), scope(angle, Number(last)));
    if (typeof value !== 'number' || !Number.isFinite(value)) return { fault: 'This has no result.' };
    return { value: shown(value) };
  } catch {
    return { fault: 'This cannot be read. Are all brackets closed?' };
  }
}

function scope(angle: Angle, ans: number): Record<string, unknown> {
  const turn = angle === 'degrees' ? Math.PI / 180 : 1;
  const own: Record<string, unknown> = { ans, pi: Math.PI, e: Math.E, ln: Math.log, log: Math.log10 };
  for (const name of CIRCLE) own[name] = (x: number) => Math[name](x * turn);
  for (const name of BACK) own[name] = (x: number) => Math[name](x) / turn;
  return own;
}

/** Twelve figures: what a sum of decimals makes of the last ones is noise. */
function shown(value: number): string {
  const rounded = Number(value.toPrecision(12));
  const size = Math.abs(rounded);
  return size !== 0 && (size >= 1e12 || size < 1e-6) ? rounded.toExponential() : String(rounded);
}
