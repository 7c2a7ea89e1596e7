<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Question\Kind;

/** A question in its place in a paper. */
final readonly class PaperItem
{
    /**
     * @param  string  $section  code of the section it stands in
     * @param  int  $topic  index of its topic in the blueprint
     * @param  string|null  $unit  code of the unit it belongs to
     * @param  string|null  $unitKind  case, passage or series
     */
    public function __construct(
        public string $question,
        public string $section,
        public int $topic,
        public Kind $kind,
        public ?string $unit = null,
        public ?string $unitKind = null,
    ) {
    }
}
