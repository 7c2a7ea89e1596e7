<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use OpenApi\Attributes as OA;
use Uplandia\Core\Sitting\Awake;
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
                description: 'Since when the page has been awake without a gap. Null: it slept, and asks what time it is.',
            ),
            new OA\Property(
                property: 'after',
                type: 'integer',
                nullable: true,
                description: 'The highest sequence that the server has said it holds: nothing is taken over a gap.',
            ),
            new OA\Property(
                property: 'awake',
                type: 'array',
                items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer')),
                description: 'Spells in which pages of this device ran: from when, until when.',
            ),
            new OA\Property(
                property: 'events',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/SittingEvent'),
            ),
        ],
    ),
]
final class EventsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tab' => ['required', 'string', 'max:64'],
            'after' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'awakeSince' => ['nullable', 'integer', 'min:0'],
            'awake' => ['array', 'max:500', AwakeSpells::areSound(...)],
            'events' => ['present', 'array', 'max:500', SentEvents::areSound(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => SentEvents::NOT_UNDERSTOOD];
    }

    /** @return list<Event> received at a moment */
    public function events(int $at): array
    {
        return SentEvents::of($this->input('events'), $at);
    }

    /** The highest sequence that the page knows the server to hold. */
    public function heldUpTo(): int
    {
        return $this->integer('after');
    }

    public function awake(): Awake
    {
        $since = $this->input('awakeSince');

        return Awake::since(is_numeric($since) ? (int) $since : null, AwakeSpells::of($this->input('awake')));
    }
}
