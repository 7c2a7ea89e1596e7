<?php

declare(strict_types=1);

namespace App\Question;

final readonly class PictureView
{
    public function __construct(
        public string $file,
        public string $alt,
        public int $width,
        public int $height,
    ) {
    }
}
