<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;

#[Says('awake', 'Spells in which pages of this device ran: from when, until when.', 'list<list<int>>')]
#[Says(
    'events',
    'What an earlier page of this device left: it arrives with the word that contact is back.',
    'list<'.SentEvent::class.'>',
)]
#[Says('take', 'Take the pen from another tab.')]
final class OpenRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tab' => ['required', 'string', 'max:64'],
            'take' => ['boolean'],
            'awake' => ['array', 'max:500', AwakeSpells::areSound(...)],
            'events' => ['array', 'max:500', SentEvents::areSound(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['events' => SentEvents::NOT_UNDERSTOOD];
    }

    /** @return list<Event> received at a moment */
    public function events(int $at): array
    {
        return SentEvents::of($this->input('events'), $at);
    }

    public function awake(): Awake
    {
        return Awake::since(null, AwakeSpells::of($this->input('awake')));
    }
}
