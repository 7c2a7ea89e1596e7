<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;

#[Says('awakeSince', 'Since when the page has been awake without a gap. Null: it slept, and asks what time it is.')]
#[Says('after', 'The highest sequence that the server has said it holds: nothing is taken over a gap.')]
#[Says('awake', 'Spells in which pages of this device ran: from when, until when.', 'list<list<int>>')]
#[Says('events', type: 'list<'.SentEvent::class.'>')]
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
