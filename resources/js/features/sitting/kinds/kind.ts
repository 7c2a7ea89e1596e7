import type { View } from '../../../api/client';
import type { Response } from '../response';

/** What every kind of question is given. */
export interface KindProps {
  question: View<'Question'>;
  response: Response | null;
  locked: boolean;
  /** Id of the element that holds the stem. */
  labelledBy: string;
  onAnswer: (response: Response | null) => void;
}
