import type { ComponentType } from 'react';
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

/** A response as one would say it. */
export type InWords<Some extends Kind> = (body: BodyOf<Some>, response: Response) => string;

/** What was typed for an answer, read: a response (null: none), or what is wrong with it. */
export type Read = { response: Response | null; fault?: undefined } | { fault: string; response?: undefined };

/** How an answer is copied from paper, in a few letters. */
export interface Code<Some extends Kind> {
  /** What to type, in a few words. */
  hint: (body: BodyOf<Some>) => string;
  /** @param typed trimmed, not empty */
  read: (typed: string, body: BodyOf<Some>) => Read;
  /** What one would have typed. */
  written: (response: Response, body: BodyOf<Some>) => string;
}

/** A question of some kinds on paper. */
export interface Paper<Some extends Kind> {
  /** What stands below the stem in a booklet. */
  Printed: ComponentType<{ body: BodyOf<Some> }>;
  /** Null: it is answered in the booklet, or in its own field. */
  code: Code<Some> | null;
  /** What its parts are called there, by id. */
  marks: (body: BodyOf<Some>) => Map<string, string>;
  /** What is right, in a line of the key. */
  right: (answer: View<'Explanation'>, mark: (part: View<'Part'>) => string) => string;
}
