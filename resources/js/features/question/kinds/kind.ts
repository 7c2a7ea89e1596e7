import type { View } from '../../../api/client';
import type { Response } from '../response';

export type Question = View<'Question'>;
export type Kind = Question['body']['kind'];

/** What a question of some kinds asks for: one shape of body may serve several kinds. */
export type BodyOf<Some extends Kind> = Matching<Question['body'], Some>;
type Matching<Body, Some> = Body extends { kind: infer Own } ? (Some extends Own ? Body : never) : never;

/** What every kind of question is given. */
export interface KindProps<Some extends Kind = Kind> {
  body: BodyOf<Some>;
  stem: string;
  response: Response | null;
  locked: boolean;
  /** Id of the element that holds the stem. */
  labelledBy: string;
  onAnswer: (response: Response | null) => void;
  /** Options that are ruled out. */
  struck: string[];
  onStrike: (struck: string[]) => void;
}
