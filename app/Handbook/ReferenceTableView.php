<?php

declare(strict_types=1);

namespace App\Handbook;

/** A sheet that lies on the desk during a sitting. */
final readonly class ReferenceTableView
{
    /** @param  string  $body  Markdown. */
    public function __construct(
        public string $code,
        public string $title,
        public string $body,
    ) {
    }
}
