<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/**
 * A set of questions of a bank, one bit a question: what two sets of 100,000 have in common, and how many they are,
 * costs some 12,500 bytes of work instead of 100,000 look-ups (a bitmap index, after O'Neil and Quass 1997).
 *
 * An id, below 2^32, is the place of its bit. Sets begin at the byte of their first id, so that a bank whose ids are
 * large costs no more than one whose ids are small.
 */
final readonly class QuestionSet
{
    private const LISTED = 'ids';

    private const BYTES_OF_AN_ID = 4;

    /** @param  int  $from  which byte, counted from id 0, the first of `bits` is */
    private function __construct(private int $from, private string $bits)
    {
    }

    /** @param  list<int>  $ids  none below 0, in any order */
    public static function of(array $ids): self
    {
        if ($ids === []) {
            return self::none();
        }
        $from = min($ids) >> 3;
        $bytes = array_fill(0, (max($ids) >> 3) - $from + 1, 0);
        foreach ($ids as $id) {
            $bytes[($id >> 3) - $from] |= 1 << ($id & 7);
        }

        return new self($from, pack('C*', ...$bytes));
    }

    public static function none(): self
    {
        return new self(0, '');
    }

    /** @param  string  $text  as `text` gave it */
    public static function fromText(string $text): self
    {
        return self::anyOf([$text]);
    }

    /**
     * What is in any of some sets.
     *
     * @param  list<string>  $texts  as `text` gave them
     */
    public static function anyOf(array $texts): self
    {
        $any = self::none();
        $listed = [];
        foreach ($texts as $text) {
            [$from, $bytes] = self::parts($text);
            if ($from === null) {
                // Bits are made of all lists at once: each alone would cost as much as the bank is long.
                $listed[] = self::unpacked($bytes);
            } else {
                $any = $any->or(new self($from, $bytes));
            }
        }

        return $any->or(self::of(array_merge([], ...$listed)));
    }

    /**
     * The same as a list, without making bits of what is kept as one.
     *
     * @param  string  $text  as `text` gave it
     * @return list<int> in ascending order
     */
    public static function idsIn(string $text): array
    {
        [$from, $bytes] = self::parts($text);

        return $from === null ? self::unpacked($bytes) : (new self($from, $bytes))->ids();
    }

    /** In letters and digits, so that any database keeps it: as bits, or as a list where that is shorter. */
    public function text(): string
    {
        return self::BYTES_OF_AN_ID * $this->count() < strlen($this->bits)
            ? self::LISTED.':'.base64_encode(pack('V*', ...$this->ids()))
            : $this->from.':'.base64_encode($this->bits);
    }

    /** @return array{int|null, string} the first byte's place, and the bits; or null and a packed list */
    private static function parts(string $text): array
    {
        [$from, $bytes] = [...explode(':', $text, 2), ''];

        return [$from === self::LISTED ? null : (int) $from, (string) base64_decode($bytes, true)];
    }

    /** @return list<int> */
    private static function unpacked(string $bytes): array
    {
        /** @var list<int> $ids */
        $ids = array_values(unpack('V*', $bytes) ?: []);

        return $ids;
    }

    public function and(self $other): self
    {
        $from = max($this->from, $other->from);

        return new self($from, $this->since($from) & $other->since($from));
    }

    public function or(self $other): self
    {
        if ($this->bits === '' || $other->bits === '') {
            return $this->bits === '' ? $other : $this;
        }
        $from = min($this->from, $other->from);

        return new self($from, $this->since($from) | $other->since($from));
    }

    /** @param  iterable<self>  $sets */
    public static function any(iterable $sets): self
    {
        $any = self::none();
        foreach ($sets as $set) {
            $any = $any->or($set);
        }

        return $any;
    }

    /** Those of this set that are not in the other. */
    public function without(self $other): self
    {
        $beside = str_pad($other->since($this->from), strlen($this->bits), "\0");

        return new self($this->from, $this->bits & ~$beside);
    }

    /**
     * Those of a list that are in the set.
     *
     * @param  list<int>  $ids
     * @return list<int> in the order of the list
     */
    public function among(array $ids): array
    {
        $among = [];
        $first = $this->from << 3;
        $last = $first + (strlen($this->bits) << 3);
        foreach ($ids as $id) {
            if (
                $id >= $first &&
                $id < $last &&
                (ord($this->bits[($id >> 3) - $this->from]) >> ($id & 7) & 1) === 1
            ) {
                $among[] = $id;
            }
        }

        return $among;
    }

    public function count(): int
    {
        $count = 0;
        foreach (count_chars($this->bits, 1) as $byte => $times) {
            for (; $byte > 0; $byte &= $byte - 1) {
                $count += $times;
            }
        }

        return $count;
    }

    /** @return list<int> in ascending order */
    public function ids(): array
    {
        $ids = [];
        $length = strlen($this->bits);
        for ($place = 0; $place < $length; $place++) {
            $id = ($this->from + $place) * 8;
            for ($byte = ord($this->bits[$place]); $byte > 0; $byte >>= 1, $id++) {
                if (($byte & 1) === 1) {
                    $ids[] = $id;
                }
            }
        }

        return $ids;
    }

    /** The bits from some byte on, with nothing before where the set begins later. */
    private function since(int $from): string
    {
        return $from >= $this->from
            ? substr($this->bits, $from - $this->from)
            : str_repeat("\0", $this->from - $from).$this->bits;
    }
}
