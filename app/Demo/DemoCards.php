<?php

declare(strict_types=1);

namespace App\Demo;

use App\Question\Candidacy;
use App\Revisit\Card;
use App\Revisit\Cards;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Revisit\CardText;
use Uplandia\Core\Revisit\Grade;

/** Gives a made-up person cards, and looks at them on earlier days whenever they were due: through the same code. */
final readonly class DemoCards
{
    /** So many days ago the cards came in, at most. */
    private const SINCE = 20;

    public function __construct(private Cards $cards, private ClockInterface $clock)
    {
    }

    /** @param  string  $text  of cards, as they are taken in and away */
    public function tell(Candidacy $candidacy, int $days, string $text): void
    {
        $chance = (new Simulator("cards of {$candidacy->user->made_up_as}"))->chance;
        $today = Carbon::instance($this->clock->now());
        $before = Carbon::getTestNow();
        try {
            for ($ago = min($days, self::SINCE); $ago > 0; $ago--) {
                Carbon::setTestNow($today->copy()->subDays($ago)->setTime(20, $chance->between(0, 50)));
                if ($ago === min($days, self::SINCE)) {
                    $this->cards->takeIn($candidacy, CardText::read($text));
                }
                // Nobody looks every day.
                if ($chance->between(0, 2) > 0) {
                    $this->lookAtAllDue($candidacy, fn (): Grade => Grade::from($chance->between(0, 4) ?: 3));
                }
            }
        } finally {
            Carbon::setTestNow($before);
        }
    }

    /** @param  callable(): Grade  $grade */
    private function lookAtAllDue(Candidacy $candidacy, callable $grade): void
    {
        $day = intdiv($this->clock->now()->getTimestamp(), 86_400);
        $due = Card::query()->ofCandidate($candidacy)->where('due_day', '<=', $day)->orderBy('id')->get();
        foreach ($due as $card) {
            $this->cards->look($card, "history-{$day}", $grade());
        }
    }
}
