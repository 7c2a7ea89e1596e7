<?php

declare(strict_types=1);

namespace App\Today;

final readonly class ExamLinkView
{
    public function __construct(
        public string $slug,
        public string $name,
    ) {
    }
}
