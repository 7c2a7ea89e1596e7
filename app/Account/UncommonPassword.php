<?php

declare(strict_types=1);

namespace App\Account;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Refuses what is tried first: the most common passwords and the words they are made of (with figures and signs put
 * for letters, or behind them), one piece over and over, rows of the keyboard, and one's own name or address.
 *
 * The list ships as resources/passwords/common.bin: the first eight bytes of the SHA-256 of each of 12,000 words, in
 * order, made from the MIT-licensed list of @zxcvbn-ts/language-common 3.0.4.
 */
final readonly class UncommonPassword implements ValidationRule
{
    private const BYTES = 8;

    private const ROWS = ['abcdefghijklmnopqrstuvwxyz', '012345678901234567890', 'qwertyuiopasdfghjklzxcvbnm'];

    private const PUT_FOR = [
        '0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i',
    ];

    /** @param  list<string>  $own  names and addresses of whose it will be */
    public function __construct(private array $own = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && $this->isTriedFirst($value)) {
            $fail('This password is one of those that are tried first. A short sentence of your own is safer.');
        }
    }

    private function isTriedFirst(string $password): bool
    {
        $typed = mb_strtolower(trim($password));
        if (preg_match('/^(.{1,4})\1+.{0,3}$/us', $typed) === 1 || self::isARow($typed)) {
            return true;
        }
        $own = array_map(fn (string $word): string => mb_strtolower($word), $this->own);
        foreach (self::readings($typed) as $word) {
            if (in_array($word, $own, true) || self::isCommon($word)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> the word that it may be made of, in several ways */
    private static function readings(string $typed): array
    {
        $words = [];
        foreach ([$typed, strtr($typed, self::PUT_FOR)] as $one) {
            $bare = preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $one) ?? $one;
            array_push($words, $one, $bare, strtr($bare, self::PUT_FOR));
        }

        return array_values(array_unique(array_filter($words, fn (string $word): bool => mb_strlen($word) >= 5)));
    }

    private static function isARow(string $typed): bool
    {
        foreach (self::ROWS as $row) {
            if (str_contains($row, $typed) || str_contains(strrev($row), $typed)) {
                return true;
            }
        }

        return false;
    }

    private static function isCommon(string $word): bool
    {
        $list = (string) file_get_contents(resource_path('passwords/common.bin'));
        $wanted = substr(hash('sha256', $word, binary: true), 0, self::BYTES);
        $low = 0;
        $high = intdiv(strlen($list), self::BYTES);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $order = strcmp(substr($list, $middle * self::BYTES, self::BYTES), $wanted);
            if ($order === 0) {
                return true;
            }
            [$low, $high] = $order < 0 ? [$middle + 1, $high] : [$low, $middle];
        }

        return false;
    }
}
