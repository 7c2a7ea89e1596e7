import type { Response } from '../response';
import { inWords as gaps } from './gaps/words';
import type { InWords, Kind, Question } from './kind';
import { inWords as number } from './number/words';
import { inWords as options } from './options/words';
import { inWords as ordering } from './ordering/words';
import { inWords as picture } from './picture/words';
import { inWords as rows } from './rows/words';
import { inWords as written } from './written/words';

/** Every kind has its words; a kind without them does not compile. */
const WORDS: { [Some in Kind]: InWords<Some> } = {
  single: options,
  several: options,
  true_false_grid: rows,
  matching: rows,
  grouping: rows,
  dropdown_gaps: rows,
  typed_gaps: gaps,
  ordering,
  number,
  picture,
  written,
};

/** A response as one would say it. */
export function inWords(body: Question['body'], response: Response): string {
  return (WORDS[body.kind] as InWords<Kind>)(body, response);
}
