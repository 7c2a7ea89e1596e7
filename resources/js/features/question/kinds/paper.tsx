import type { View } from '../../../api/client';
import type { Response } from '../response';
import { paper as gaps } from './gaps/paper';
import type { Code, Kind, Paper, Question, Read } from './kind';
import { paper as number } from './number/paper';
import { paper as options } from './options/paper';
import { paper as ordering } from './ordering/paper';
import { paper as picture } from './picture/paper';
import { paper as rows } from './rows/paper';
import { paper as written } from './written/paper';

type Body = Question['body'];

/** Every kind has its paper; a kind without it does not compile. */
const PAPER: { [Some in Kind]: Paper<Some> } = {
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

const of = (body: Body) => PAPER[body.kind] as Paper<Kind>;

/** What stands below the stem of a question in a booklet. */
export function Printed({ body }: { body: Body }) {
  const { Printed: Own } = of(body);
  return <Own body={body} />;
}

/**
 * How the answer is copied from paper, in letters as the booklet prints them. Null: its kind is not typed, and has its own
 * field.
 */
export function codeOf(body: Body): Code<Kind> | null {
  return of(body).code;
}

/** What was typed, trimmed or not; nothing is no answer. */
export function readCode(body: Body, typed: string): Read {
  const code = codeOf(body);
  if (typed.trim() === '') return { response: null };
  return code ? code.read(typed.trim(), body) : { fault: 'This is not typed as a code.' };
}

/** What one would have typed. */
export function writtenCode(body: Body, response: Response | null): string {
  return response ? (codeOf(body)?.written(response, body) ?? '') : '';
}

/** What the booklet calls the parts of a question, by id. */
export function marksOf(body: Body): Map<string, string> {
  return of(body).marks(body);
}

/** What is right, in a line of the key. */
export function rightLine(answer: View<'Explanation'>, mark: (part: View<'Part'>) => string): string {
  return of(answer.question.body).right(answer, mark);
}
