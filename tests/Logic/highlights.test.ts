import { describe, expect, it } from 'vitest';
import {
  meets,
  noted,
  placed,
  tight,
  without,
  withOne,
  type Highlight,
} from '../../resources/js/features/library/highlights';

const TEXT = 'The wind backs before a warm front comes.';
const place = (quote: string, part = 'stem') => {
  const from = TEXT.indexOf(quote);
  return { part, from, to: from + quote.length, quote };
};
const marked = (quote: string, kind: Highlight['kind'] = 'marked'): Highlight => ({ ...place(quote), kind, note: '' });

describe('highlights', () => {
  it('are taken without the white space around them', () => {
    expect(tight(place(' backs '))).toEqual(place('backs'));
    expect(tight({ part: 'stem', from: 3, to: 4, quote: ' ' })).toBeNull();
    expect(tight({ part: 'stem', from: 0, to: 2001, quote: 'x'.repeat(2001) })).toBeNull();
  });

  it('of a kind become one where they meet', () => {
    const all = withOne([marked('wind backs')], place('backs before'), 'marked', TEXT);
    expect(all).toEqual([marked('wind backs before')]);
    expect(withOne([marked('wind')], place('front'), 'marked', TEXT)).toEqual([marked('wind'), marked('front')]);
    expect(withOne([marked('wind')], place('wind', 'option:x'), 'marked', TEXT)).toHaveLength(2);
  });

  it('of two kinds give way to the newer', () => {
    const all = withOne([marked('wind backs before')], place('backs'), 'struck', TEXT);
    expect(all).toEqual([marked('wind'), marked('before'), marked('backs', 'struck')]);
  });

  it('are taken away in part or whole', () => {
    expect(without([marked('wind backs')], place('backs'), TEXT)).toEqual([marked('wind')]);
    expect(without([marked('wind')], place('The wind backs'), TEXT)).toEqual([]);
    expect(without([marked('wind')], place('front'), TEXT)).toEqual([marked('wind')]);
    expect(meets(marked('wind backs'), place('backs before'))).toBe(true);
    expect(meets(marked('wind'), place(' backs'))).toBe(false);
  });

  it('keep what was written beside their words', () => {
    const wind = { ...marked('wind'), note: 'which?' };
    expect(noted([wind, marked('front')], marked('front'), 'warm')).toEqual([
      wind,
      { ...marked('front'), note: 'warm' },
    ]);
    // Words that become part of more take their note along; of words that are cut, the first piece has it.
    expect(withOne([wind], place('wind backs'), 'marked', TEXT)).toEqual([{ ...marked('wind backs'), note: 'which?' }]);
    const cut = without([{ ...marked('wind backs before'), note: 'turns' }], place('backs'), TEXT);
    expect(cut).toEqual([{ ...marked('wind'), note: 'turns' }, marked('before')]);
    expect(without([wind], place('wind'), TEXT)).toEqual([]);
  });

  it('find their words again where a text was corrected', () => {
    expect(placed(marked('front'), TEXT)).toEqual({ from: 29, to: 34 });
    expect(placed(marked('front'), `Often: ${TEXT}`)).toEqual({ from: 36, to: 41 });
    expect(placed(marked('wind'), 'wind, no wind, wind')).toEqual({ from: 0, to: 4 });
    expect(placed(marked('front'), 'All is new.')).toBeNull();
  });
});
