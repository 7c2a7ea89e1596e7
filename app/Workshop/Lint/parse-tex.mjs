// Reads [{owner, tex}] and prints the sentences of those that do not parse. Called by App\Workshop\Lint\Texts.
import katex from 'katex';
import { readFileSync } from 'node:fs';

const faults = [];
for (const { owner, tex } of JSON.parse(readFileSync(0, 'utf8'))) {
  try {
    katex.renderToString(tex, { throwOnError: true, strict: (code) => (code === 'unicodeTextInMathMode' ? 'ignore' : 'error') });
  } catch (error) {
    faults.push(`${owner}: the formula "${tex}" does not parse: ${error.message}`);
  }
}
process.stdout.write(JSON.stringify(faults));
