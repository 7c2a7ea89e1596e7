<?php

declare(strict_types=1);

namespace App\Http\Contract;

use OpenApi\Attributes as OA;

#[OA\OpenApi(openapi: '3.1.0')]
#[
    OA\Info(
        version: '1',
        title: 'Uplandia',
        description: 'What the browser and the server say to each other. Moments are Unix milliseconds of the server\'s clock; exact numbers are decimal strings.',
    ),
]
final class Api
{
}
