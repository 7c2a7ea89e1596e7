<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use Closure;
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
    private const NOT_UNDERSTOOD = 'This page sent something that the server does not understand. Reload the page; what was saved is kept.';

    private const KEYS = ['id' => 0, 'seq' => 0, 'kind' => 0, 'madeAt' => 0, 'position' => 0, 'value' => 0];

    private const LONGEST_ID = 64;

    private const MOST_SEQ = 1_000_000;

    private const MOST_POSITION = 1000;

    /** Of the value of one event. */
    private const MOST_BYTES = 64 * 1024;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tab' => ['required', 'string', 'max:64'],
            'awakeSince' => ['nullable', 'integer', 'min:0'],
            'awake' => ['array', 'max:500', AwakeSpells::areSound(...)],
            'events' => ['present', 'array', 'max:500', $this->areSound(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => self::NOT_UNDERSTOOD];
    }

    /** One rule for all of them: a rule for each of their parts would cost more than to save them. */
    private function areSound(string $field, mixed $events, Closure $fail): void
    {
        foreach (is_array($events) ? $events : [] as $event) {
            if (! is_array($event) || ! self::isSound($event)) {
                $fail(self::NOT_UNDERSTOOD);

                return;
            }
        }
    }

    /** @param  array<mixed>  $event */
    private static function isSound(array $event): bool
    {
        $whole = static fn (string $name, int $least, int $most): bool => is_int($event[$name] ?? null) &&
            $event[$name] >= $least &&
            $event[$name] <= $most;
        $maybe = static fn (string $name, int $most): bool => ! isset($event[$name]) || $whole($name, 0, $most);
        $id = $event['id'] ?? null;
        $kind = $event['kind'] ?? null;

        return is_string($id) &&
            $id !== '' &&
            strlen($id) <= self::LONGEST_ID &&
            ! str_starts_with($id, Event::OWN) &&
            is_string($kind) &&
            EventKind::tryFrom($kind)?->isTheBrowsers() === true &&
            $whole('seq', 1, self::MOST_SEQ) &&
            $maybe('madeAt', PHP_INT_MAX) &&
            $maybe('position', self::MOST_POSITION) &&
            array_diff_key($event, self::KEYS) === [] &&
            strlen((string) json_encode($event['value'] ?? null)) <= self::MOST_BYTES;
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

    public function awake(): Awake
    {
        $since = $this->input('awakeSince');

        return Awake::since(is_numeric($since) ? (int) $since : null, AwakeSpells::of($this->input('awake')));
    }
}
