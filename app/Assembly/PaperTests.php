<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use Illuminate\Support\Facades\DB;
use LogicException;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Section;

/**
 * The tests of fixed papers, whole or of one section.
 *
 * @phpstan-import-type Item from Test
 */
final readonly class PaperTests
{
    public function __construct(private FixedTests $fixed)
    {
    }

    /**
     * Needs the paper's exam.
     *
     * @param  string|null  $section  code of the only one; null: all
     *
     * @throws Refusal when the exam has no such section
     */
    public function of(Paper $paper, ?string $section = null): Test
    {
        $part =
            $section === null
                ? null
                : $paper->exam->blueprint()->section($section) ??
                    throw Refusal::unmet('unknown_section', 'The exam has no such section.');

        return $this->fixed->of(
            made: Test::query()->where('paper_id', $paper->id)->where('section', $part?->code),
            settings: [
                'exam_id' => $paper->exam_id,
                'paper_id' => $paper->id,
                'of_exam' => true,
                'section' => $part?->code,
                'title' => $part === null ? $paper->title : "{$paper->title}, {$part->name}",
                'mode' => Mode::Timed->value,
                'seed' => "paper {$paper->code}",
            ],
            items: self::items($paper, $part),
            minutes: null,
        );
    }

    /** @return list<Item> */
    private static function items(Paper $paper, ?Section $only): array
    {
        $blueprint = $paper->exam->blueprint();
        $sections = DB::table('paper_items')
            ->where('paper_id', $paper->id)
            ->when($only !== null, fn ($items) => $items->where('section', $only?->code))
            ->orderBy('position')
            ->pluck('section', 'question_id')
            ->map(fn (mixed $code): Section => $blueprint->section(is_string($code) ? $code : '')
                ?? throw new LogicException('The blueprint has no such section.'))
            ->all();

        return NewItems::of(array_keys($sections), fn (int $question): array => [
            'marks' => (string) $sections[$question]->scheme->marks,
            'penalty' => (string) $sections[$question]->scheme->penalty,
            'section' => $sections[$question]->code,
        ]);
    }
}
