import { expect, test } from 'vitest';
import type { View } from '../../resources/js/api/client';
import { cardOf } from '../../resources/js/features/result/cardOf';
import { readCards, writeCards } from '../../resources/js/features/revisit/cardFilters';
import { addressOf } from '../../resources/js/ui/useInAddress';

type Part = View<'Part'>;

function part(more: Partial<Part>): Part {
  return {
    id: '',
    role: 'option',
    text: '',
    why: '',
    verdict: 'plain',
    right: null,
    mine: null,
    ruledOut: false,
    region: null,
    ...more,
  };
}

function explained(stem: string, parts: Part[], model: string | null = null) {
  return { question: { stem } as View<'Question'>, parts, rationale: 'Because.', model };
}

test('a card has the stem in front, and what is right with its reason behind', () => {
  const parts = [
    part({ text: 'no', verdict: 'wrong' }),
    part({ text: 'yes', verdict: 'missing' }),
    part({ text: 'never', verdict: 'plain' }),
  ];
  expect(cardOf(explained('How far?', parts), '')).toEqual({ front: 'How far?', back: 'yes\n\nBecause.' });
  const two = [part({ text: 'a', verdict: 'right' }), part({ text: 'b', verdict: 'missing' })];
  expect(cardOf(explained('Which?', two), '').back).toBe('- a\n- b\n\nBecause.');
});

test('gaps are left open in front and filled behind; decoys and slips are not what is right', () => {
  const parts = [
    part({ role: 'gap', right: '3 km' }),
    part({ role: 'row', text: 'Grid north', right: 'True', verdict: 'wrong' }),
    part({ role: 'decoy', right: 'x' }),
    part({ role: 'slip', right: 'x' }),
  ];
  expect(cardOf(explained('It is [[one]] away.', parts), '')).toEqual({
    front: 'It is … away.',
    back: '- 3 km\n- Grid north: True\n\nBecause.',
  });
  expect(cardOf(explained('Say why.', parts, 'A model'), '').back).toBe('A model\n\nBecause.');
});

test('words that were chosen make the back', () => {
  expect(cardOf(explained('How far?', []), 'some words').back).toBe('some words');
});

test('which cards are shown stands in the address', () => {
  const wanted = { show: 'due', words: 'a b', section: 'wx.storm', page: 2 } as const;
  expect(readCards(addressOf(writeCards(wanted)))).toEqual(wanted);
  expect(addressOf(writeCards(readCards(new URLSearchParams('show=x&page=-3')))).toString()).toBe('');
});
