<?php

declare(strict_types=1);

namespace App\Sitting;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

#[
    OA\Schema(
        schema: 'SittingEvent',
        required: ['id', 'seq', 'kind'],
        properties: [
            new OA\Property(
                property: 'id',
                type: 'string',
                description: 'Made by the browser; sending it again does no harm.',
            ),
            new OA\Property(property: 'seq', type: 'integer', description: 'Order in which the candidate did things.'),
            new OA\Property(property: 'kind', type: 'string', enum: EventKind::class),
            new OA\Property(
                property: 'madeAt',
                type: 'integer',
                nullable: true,
                description: 'By the browser\'s idea of the server\'s clock.',
            ),
            new OA\Property(property: 'position', type: 'integer', nullable: true),
            new OA\Property(
                property: 'value',
                description: 'answered: the response or null; flagged: true or false; struck: option ids; sureness: sure, leaning, guess or null.',
            ),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'SittingEvents',
        required: ['tab', 'events'],
        properties: [
            new OA\Property(property: 'tab', type: 'string'),
            new OA\Property(
                property: 'awakeSince',
                type: 'integer',
                nullable: true,
                description: 'Since when the page has been awake without a gap.',
            ),
            new OA\Property(
                property: 'events',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/SittingEvent'),
            ),
        ],
    ),
]
final class EventsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $kinds = array_filter(EventKind::cases(), fn (EventKind $kind): bool => $kind->isTheBrowsers());
        $said = array_column($kinds, 'value');

        return [
            'tab' => ['required', 'string', 'max:64'],
            'awakeSince' => ['nullable', 'integer', 'min:0'],
            'events' => ['present', 'array', 'max:500'],
            'events.*.id' => ['required', 'string', 'max:64', 'not_regex:/^server-/'],
            'events.*.seq' => ['required', 'integer', 'min:1', 'max:1000000'],
            'events.*.kind' => ['required', Rule::in($said)],
            'events.*.madeAt' => ['nullable', 'integer', 'min:0'],
            'events.*.position' => ['nullable', 'integer', 'min:0', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            '*' => 'This page sent something that the server does not understand. Reload the page; what was saved is kept.',
        ];
    }

    /** @return list<Event> received now */
    public function events(int $now): array
    {
        $events = [];
        foreach ((array) $this->input('events') as $event) {
            assert(is_array($event));
            $value = $event['value'] ?? null;
            $events[] = new Event(
                id: (string) $event['id'],
                seq: (int) $event['seq'],
                kind: EventKind::from((string) $event['kind']),
                at: $now,
                madeAt: isset($event['madeAt']) ? (int) $event['madeAt'] : null,
                position: isset($event['position']) ? (int) $event['position'] : null,
                value: is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
            );
        }

        return $events;
    }

    public function awakeSince(): ?int
    {
        $since = $this->input('awakeSince');

        return is_numeric($since) ? (int) $since : null;
    }
}
