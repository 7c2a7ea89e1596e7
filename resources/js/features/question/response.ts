/** What a candidate answers, by kind of question (the core's Question\Reading reads the same shapes). */
export interface Response {
  choice?: string;
  choices?: string[];
  rows?: Record<string, string>;
  order?: string[];
  gaps?: Record<string, string>;
  text?: string;
  unit?: string;
  points?: { x: number; y: number }[];
}

/** A response without anything in it is none: the question is left blank. */
export function orNothing(response: Response): Response | null {
  const filled = Object.values(response).some((part) =>
    typeof part === 'string' ? part.trim() !== '' : Object.keys(part ?? {}).length > 0,
  );
  return filled ? response : null;
}

/** The same map with one entry set, or taken out when it is empty. */
export function having(map: Record<string, string> | undefined, key: string, value: string): Record<string, string> {
  const rest = Object.entries(map ?? {}).filter(([other]) => other !== key);
  return Object.fromEntries(value.trim() === '' ? rest : [...rest, [key, value]]);
}
