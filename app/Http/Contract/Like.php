<?php

declare(strict_types=1);

namespace App\Http\Contract;

use App\Http\Form;
use Attribute;

/** What has the shape of a request: something that was asked for and kept. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class Like
{
    /** @param  class-string<Form>  $request */
    public function __construct(public string $request)
    {
    }
}
