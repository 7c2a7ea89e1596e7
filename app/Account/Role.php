<?php

declare(strict_types=1);

namespace App\Account;

enum Role: string
{
    case Candidate = 'candidate';
    case Author = 'author';
    case Administrator = 'administrator';
}
