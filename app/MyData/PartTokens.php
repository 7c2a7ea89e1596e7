<?php

declare(strict_types=1);

namespace App\MyData;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What the parts of a question are called outside of this installation. Here they have random names, which another one
 * does not know; there and here they have their texts, so each is told by those. A version of a question is told by a
 * print of all it holds.
 *
 * @phpstan-type Known array{question: int, code: string, version: int, print: string, tokens: array<string, string>}
 */
final class PartTokens
{
    private const NAME = '/^[bcdfghjkmnpqrstvwxyz23456789]{7}$/D';

    private const LETTERS = 16;

    /** @var array<string, string> name => token */
    private array $tokens = [];

    /** @var array<string, int> so many that cannot be told apart by their text */
    private array $alike = [];

    private function __construct()
    {
    }

    /**
     * Versions of questions, by their ids.
     *
     * @param  list<int>  $versions
     * @return array<int, Known>
     */
    public static function ofVersions(array $versions): array
    {
        $known = [];
        foreach (array_chunk($versions, 500) as $chunk) {
            foreach (self::rows()->whereIn('question_versions.id', $chunk)->get() as $row) {
                $known[(int) $row->id] = self::known($row);
            }
        }

        return $known;
    }

    /**
     * All versions of some questions of an exam.
     *
     * @param  list<string>  $codes
     * @return array<string, array<string, Known>> by code and print
     */
    public static function ofQuestions(int $exam, array $codes): array
    {
        $known = [];
        foreach (array_chunk($codes, 500) as $chunk) {
            $rows = self::rows()->where('questions.exam_id', $exam)->whereIn('code', $chunk);
            foreach ($rows->orderBy('question_versions.id')->get() as $row) {
                $one = self::known($row);
                $known[$one['code']][$one['print']] = $one;
            }
        }

        return $known;
    }

    private static function rows(): Builder
    {
        return DB::table('question_versions')
            ->join('questions', 'questions.id', '=', 'question_versions.question_id')
            ->leftJoin('unit_versions', 'unit_versions.id', '=', 'question_versions.unit_version_id')
            ->select([
                'question_versions.id', 'questions.id as question', 'questions.code', 'question_versions.shown',
                'question_versions.withheld', 'question_versions.kind', 'question_versions.marks',
                'unit_versions.shown as unit',
            ]);
    }

    /** @return Known */
    private static function known(stdClass $row): array
    {
        $of = new self();
        foreach (['shown', 'withheld'] as $half) {
            $of->walk((array) json_decode((string) $row->{$half}, true), (string) $row->code);
        }
        $whole = implode("\n", [$row->kind, $row->marks, $row->shown, $row->withheld, $row->unit]);

        return [
            'question' => (int) $row->question,
            'code' => (string) $row->code,
            'version' => (int) $row->id,
            'print' => substr(hash('sha256', strtr($whole, $of->tokens)), 0, 2 * self::LETTERS),
            'tokens' => $of->tokens,
        ];
    }

    /** @param  array<mixed>  $node */
    private function walk(array $node, string $path): void
    {
        foreach ($node as $name => $child) {
            $sort = is_int($name) ? $path : "{$path}/{$name}";
            if (is_array($child)) {
                $id = $child['id'] ?? null;
                $text = $child['text'] ?? $child['name'] ?? '';
                $at = is_string($id) ? "{$sort}=".(is_string($text) ? $text : '') : $sort;
                if (is_string($id)) {
                    $this->name($id, $at);
                }
                $this->walk($child, $at);
            } elseif (is_string($name)) {
                // Gaps go by the mark that their author gave them in the stem.
                $this->name($name, is_string($child) ? "{$path}={$child}" : $path);
            }
        }
    }

    private function name(string $id, string $at): void
    {
        if (preg_match(self::NAME, $id) !== 1 || isset($this->tokens[$id])) {
            return;
        }
        $n = $this->alike[$at] = ($this->alike[$at] ?? 0) + 1;
        $this->tokens[$id] = 'part-'.substr(hash('sha256', "{$at}#{$n}"), 0, self::LETTERS);
    }
}
