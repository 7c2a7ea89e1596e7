<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Form;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Star', required: ['on'], properties: [new OA\Property(property: 'on', type: 'boolean')])]
final class StarRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on' => ['required', 'boolean']];
    }
}
