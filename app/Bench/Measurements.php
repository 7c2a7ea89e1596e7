<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Assembly\Unit;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\Mode;
use Uplandia\Core\Sitting\Terms;

/** What `./uplandia bench` measures. Data is made before the clock starts. */
final class Measurements
{
    /** @return array<string, Closure(): list<string>> */
    public function all(): array
    {
        return [
            'Marking 200,000 single responses' => $this->marking(...),
            'Drawing 200 from 100,000' => $this->drawing(...),
            'Drawing 200 from 100,000, all seen before' => fn (): array => $this->drawing(seen: true),
            'Fold of 500 questions, 5,000 events' => $this->fold(...),
        ];
    }

    /** @return list<string> */
    private function marking(): array
    {
        $question = new Single(['a', 'b', 'c', 'd'], 'b');
        $responses = array_map(fn (int $i): array => ['choice' => 'abcd'[$i % 4]], range(1, 200_000));
        $marker = new Marker;

        return Stopwatch::compare(1000, function () use ($marker, $question, $responses): void {
            foreach ($responses as $response) {
                $marker->mark($question, $response);
            }
        }, function () use ($responses): int {
            $right = 0;
            foreach ($responses as $response) {
                $right += $response['choice'] === 'b' ? 1 : 0;
            }

            return $right;
        });
    }

    /** @return list<string> */
    private function drawing(bool $seen = false): array
    {
        $pool = array_map(fn (int $id): Unit => new Unit([$id], $seen ? ($id * 7919) % 90_000 : null), range(1, 100_000));
        $draw = new Draw((new Seed('bench'))->stream('draw'));

        return Stopwatch::compare(50, fn (): array => $draw->take($pool, 200), function () use ($pool): int {
            $n = 0;
            foreach ($pool as $unit) {
                $n += count($unit->questions);
            }

            return $n;
        });
    }

    /** @return list<string> */
    private function fold(): array
    {
        $terms = new Terms(Mode::Timed, array_fill(0, 500, new Item), 4 * 3600 * 1000);
        $events = [new Event('start', 1, EventKind::Started, 0)];
        foreach (range(2, 5000) as $seq) {
            $kind = [EventKind::Shown, EventKind::Answered, EventKind::Struck, EventKind::Flagged, EventKind::Sureness][$seq % 5];
            $value = match ($kind) {
                EventKind::Answered => ['choice' => 'abcd'[$seq % 4]],
                EventKind::Struck => ['a'],
                EventKind::Flagged => true,
                EventKind::Sureness => 'sure',
                default => null,
            };
            $events[] = new Event("e{$seq}", $seq, $kind, $seq * 2000, $seq * 2000 - 100, intdiv($seq, 5) % 500, $value);
        }

        return Stopwatch::compare(50, fn () => Fold::of($terms, $events, 3 * 3600 * 1000), function () use ($events): int {
            $sum = 0;
            foreach ($events as $event) {
                $sum += $event->at;
            }

            return $sum;
        });
    }
}
