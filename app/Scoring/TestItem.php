<?php

declare(strict_types=1);

namespace App\Scoring;

use Uplandia\Core\Question\Question;
use Uplandia\Core\Scoring\MarkScheme;

/** A question of a test, ready to be marked. */
final readonly class TestItem
{
    public function __construct(public int $questionId, public int $versionId, public int $topicId, public MarkScheme $scheme, public Question $question)
    {
    }
}
