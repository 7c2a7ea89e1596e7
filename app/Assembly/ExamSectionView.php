<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\MapOf;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Shown;

/** A section of the real exam. */
final readonly class ExamSectionView
{
    /**
     * @param  string  $marksEach  Exact, as a decimal.
     * @param  string|null  $penalty  Share of its marks that a wrong answer costs, exact; null: nothing.
     * @param  int  $minutes  Of its own, or its share by marks; they add up to the time for answering.
     * @param  list<value-of<Kind>>  $kinds
     * @param  object  $units  How many cases, passage sets and series.
     */
    public function __construct(
        public string $code,
        public string $name,
        public int $questions,
        public string $marksEach,
        public string $marks,
        public ?string $penalty,
        public int $minutes,
        public array $kinds,
        #[MapOf('int')] public object $units,
    ) {
    }

    /** @return list<self> in the order of the blueprint */
    public static function allOf(Blueprint $blueprint): array
    {
        return array_map(
            fn (Section $section): self => new self(
                code: $section->code,
                name: $section->name,
                questions: $section->questions,
                marksEach: Shown::decimal($section->scheme->marks),
                marks: Shown::decimal($section->possible()),
                penalty: $section->scheme->penalty->getSign() === 0 ? null : (string) $section->scheme->penalty,
                minutes: $blueprint->sectionMinutes()[$section->code],
                kinds: array_column($section->kinds, 'value'),
                units: (object) $section->units,
            ),
            $blueprint->sections,
        );
    }
}
