<?php

declare(strict_types=1);

namespace App\Result;

/** What a device needs of a sitting, beside its questions, to go on without a connection. */
final readonly class PackView
{
    /**
     * @param  list<ExplanationView>  $explanations  Of every question, as far as it is answered by now. Only in
     *     tutor mode.
     */
    public function __construct(
        public string $id,
        public array $explanations,
    ) {
    }
}
