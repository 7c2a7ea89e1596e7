<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** A place in the test, as far as the rules of the sitting care. */
final readonly class Item
{
    /**
     * @param  int  $section  index of its section
     * @param  string|null  $series  questions that share this may not be gone back to once a later one was shown
     */
    public function __construct(public int $section = 0, public ?string $series = null)
    {
    }
}
