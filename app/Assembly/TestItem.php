<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\QuestionVersion;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Question\Question;

/** A question of a test, ready to be marked. */
final readonly class TestItem
{
    public function __construct(
        public int $position,
        public int $questionId,
        public QuestionVersion $version,
        public Question $question,
        public MarkScheme $scheme,
        public ?string $section,
    ) {
    }
}
