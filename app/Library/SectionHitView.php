<?php

declare(strict_types=1);

namespace App\Library;

final readonly class SectionHitView
{
    public function __construct(public string $code, public string $title)
    {
    }
}
