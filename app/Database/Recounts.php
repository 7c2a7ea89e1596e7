<?php

declare(strict_types=1);

namespace App\Database;

/** Works out again what is stored, from what it was made of. Whatever is stored so has one (`AppServiceProvider`). */
interface Recounts
{
    /** What is recomputed, in the plural. */
    public function what(): string;

    /**
     * @param  string|null  $email  only of this person; null: of all. What is nobody's alone is recomputed either way.
     * @return iterable<string|null> for each that was recomputed, how it differs; null: it does not
     */
    public function differences(?string $email): iterable;
}
