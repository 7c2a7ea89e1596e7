<?php

declare(strict_types=1);

namespace App\Revisit;

use Uplandia\Core\Revisit\GapState;

/** What is known of a gap before its question is read. */
final readonly class GapLine
{
    /**
     * @param  string  $topic  code of the topic at the top
     * @param  string|null  $cause  null: none was named
     * @param  list<string>  $sections  of the handbook that its reasons refer to
     * @param  int  $day  when it opened, or closed
     */
    public function __construct(
        public int $question,
        public string $topic,
        public GapState $state,
        public ?string $cause,
        public array $sections,
        public int $day,
    ) {
    }

    public function passes(GapsWanted $wanted): bool
    {
        return ($wanted->topic === null || $wanted->topic === $this->topic)
            && ($wanted->cause === null || $wanted->cause === ($this->cause ?? GapsRequest::NO_CAUSE))
            && ($wanted->section === null || in_array($wanted->section, $this->sections, true))
            && ($wanted->state === null ? $this->state !== GapState::Closed : $wanted->state === $this->state);
    }
}
