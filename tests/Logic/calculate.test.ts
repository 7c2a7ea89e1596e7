import { describe, expect, it } from 'vitest';
import { calculate } from '../../resources/js/features/sitting/kit/calculate';

const value = (typed: string, angle?: 'degrees' | 'radians', last?: string) => {
  const reckoned = calculate(typed, angle, last);
  return 'value' in reckoned ? reckoned.value : reckoned.fault;
};

describe('the calculator', () => {
  it('reads what people write', () => {
    expect(value('4.5 × 60 ÷ 5')).toBe('54');
    expect(value('1,5 + 2,25')).toBe('3.75');
    expect(value('1 250 − 450')).toBe('800');
    expect(value('0.1 + 0.2')).toBe('0.3');
    expect(value('√16 + √(9 + 16)')).toBe('9');
    expect(value('2^10')).toBe('1024');
    expect(value('3² + 2³')).toBe('17');
    expect(value('80 × 10 %')).toBe('8');
    expect(value('2 π')).toBe('6.28318530718');
    expect(value('-3 + 5')).toBe('2');
    expect(value('10:4')).toBe('2.5');
  });

  it('turns in degrees unless told otherwise', () => {
    expect(value('sin(30)')).toBe('0.5');
    expect(value('tan(45°)')).toBe('1');
    expect(value('atan(1)')).toBe('45');
    expect(value('sin(pi/2)', 'radians')).toBe('1');
    expect(value('log(1000) + ln(e)')).toBe('4');
  });

  it('goes on from the last result', () => {
    expect(value('ans / 4', 'degrees', '54')).toBe('13.5');
  });

  it('shows the very large and the very small by powers of ten', () => {
    expect(value('2^80')).toBe('1.20892581961e+24');
    expect(value('1/3000000')).toBe('3.33333333333e-7');
  });

  it('says what is wrong and runs nothing else', () => {
    expect(value('')).toMatch(/Type a calculation/);
    expect(value('1/0')).toBe('This has no result.');
    expect(value('√(−1)')).toBe('This has no result.');
    expect(value('(1 + 2')).toMatch(/brackets/);
    expect(value('import(1)')).toBe('“import” is no function here.');
    expect(value('x = 5')).toMatch(/sign/);
    expect(value('"a"')).toMatch(/sign/);
    expect(value('ans[1]')).toMatch(/sign/);
    expect(value('1+'.repeat(200))).toMatch(/too long/);
    expect(value('constructor')).toBe('“constructor” is no function here.');
  });
});
