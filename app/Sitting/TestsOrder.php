<?php

declare(strict_types=1);

namespace App\Sitting;

enum TestsOrder: string
{
    case Name = 'name';
    case Made = 'made';
    case Mode = 'mode';
    case State = 'state';
    case Share = 'share';
    case Answered = 'answered';

    /** The column of sittings behind it. */
    public function column(): string
    {
        return match ($this) {
            self::Made => 'created_at',
            self::State => 'status',
            default => $this->value,
        };
    }
}
