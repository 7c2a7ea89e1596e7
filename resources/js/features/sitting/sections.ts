/** Where sections begin, by the position of their first question; none where there are not several. */
export function startsOf(sections: readonly { name: string; questions: number }[]): ReadonlyMap<number, string> {
  const starts = new Map<number, string>();
  let at = 0;
  for (const { name, questions } of sections.length > 1 ? sections : []) {
    starts.set(at, name);
    at += questions;
  }
  return starts;
}

/** Things with a position, by the section they stand in; one without a name where there are no sections. */
export function bySection<T extends { position: number }>(
  all: readonly T[],
  starts: ReadonlyMap<number, string>,
): [string | null, T[]][] {
  const groups: [string | null, T[]][] = [];
  for (const one of all) {
    let name: string | null = null;
    for (const [from, section] of starts) if (from <= one.position) name = section;
    const last = groups.at(-1);
    if (last && last[0] === name) last[1].push(one);
    else groups.push([name, [one]]);
  }
  return groups;
}
