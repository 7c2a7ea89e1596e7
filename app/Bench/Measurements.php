<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Cohort\Calibrated;
use Uplandia\Core\Cohort\Calibration;
use Uplandia\Core\Cohort\Model;
use Uplandia\Core\Cohort\Patterns;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Evidence;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\PassOutlook;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Item as SittingItem;
use Uplandia\Core\Sitting\Terms;
use Uplandia\Core\Statistics\Sample;

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
            'Mastery and outlook, 50,000 responses, 60 subtopics' => $this->mastery(...),
            '2PL on 2,000 people × 300 items' => $this->calibration(...),
        ];
    }

    /** @return list<string> */
    private function marking(): array
    {
        $question = new Single(['a', 'b', 'c', 'd'], 'b');
        $responses = array_map(fn (int $i): array => ['choice' => 'abcd'[$i % 4]], range(1, 200_000));
        $marker = new Marker();

        return Stopwatch::compare(
            1000,
            function () use ($marker, $question, $responses): void {
                foreach ($responses as $response) {
                    $marker->mark($question, $response);
                }
            },
            function () use ($responses): int {
                $right = 0;
                foreach ($responses as $response) {
                    $right += $response['choice'] === 'b' ? 1 : 0;
                }

                return $right;
            },
        );
    }

    /** @return list<string> */
    private function drawing(bool $seen = false): array
    {
        $sizes = array_fill(0, 100_000, 1);
        $times = $seen ? array_map(fn (int $id): int => ($id * 7919) % 90_000, range(1, 100_000)) : [];
        $draw = new Draw((new Seed('bench'))->stream('draw'));

        return Stopwatch::compare(50, fn (): array => $draw->take($sizes, $times, 200), function () use ($sizes): int {
            $n = 0;
            foreach ($sizes as $size) {
                $n += $size;
            }

            return $n;
        });
    }

    /** @return list<string> */
    private function mastery(): array
    {
        $simulator = new Simulator('bench');
        $person = $simulator->person(60);
        $items = array_map(
            fn (int $i) => $simulator->item($i, $i % 60, ($i % 3) - 1.0, $i % 4 ? 0.25 : 0.0),
            range(0, 5999),
        );
        $responses = $banks = [];
        for ($i = 0; $i < 50_000; $i++) {
            $item = $items[$i % 6000];
            $responses[] = new Response(
                topic: $item->topic,
                b: $item->b,
                c: $item->c,
                x: $simulator->chance->happens($simulator->probability($person, $item)) ? 1.0 : 0.0,
                w: Evidence::weight($i % 300),
            );
        }
        foreach ($items as $item) {
            $banks[$item->topic][] = new Item($item->b, $item->c);
        }

        return Stopwatch::compare(
            200,
            function () use ($responses, $banks): PassOutlook {
                $ability = (new AbilityEstimator())->estimate($responses, 60);

                return PassOutlook::of(
                    ability: $ability,
                    questions: array_fill(0, 60, 2),
                    needed: 78,
                    mastery: array_map(fn (int $t): Mastery => Mastery::of($ability, $t, $banks[$t]), range(0, 59)),
                );
            },
            function () use ($responses): float {
                $sum = 0.0;
                foreach ($responses as $response) {
                    $sum += $response->w * $response->x;
                }

                return $sum;
            },
        );
    }

    /** @return list<string> */
    private function calibration(): array
    {
        $simulator = new Simulator('recovery of 300');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, (($i % 5) - 2) * 0.7, 0.0), range(0, 299));
        $people = array_map(function () use ($simulator, $items): array {
            $theta = $simulator->chance->normal();

            return array_map(
                fn (SimulatedItem $item): float => $simulator->chance->happens(
                    1 / (1 + exp(-$item->a * ($theta - $item->b))),
                )
                    ? 1.0
                    : 0.0,
                $items,
            );
        }, range(1, 2000));
        $answers = Patterns::ofPeople($people, 300);
        $found = null;
        $row = Stopwatch::compare(
            wantedMs: 120_000,
            work: function () use ($answers, &$found): void {
                $found = (new Calibration(Model::TwoParameter, 41, 1e-3))->of($answers);
            },
            bare: function () use ($people): float {
                $sum = 0.0;
                foreach ($people as $pattern) {
                    foreach ($pattern as $credit) {
                        $sum += $credit;
                    }
                }

                return $sum;
            },
            runs: 1,
        );
        assert($found instanceof Calibrated);
        $row[0] .= sprintf(
            ' (r of b %.3f, of a %.3f)',
            Sample::correlation(array_column($items, 'b'), array_column($found->items, 'b')),
            Sample::correlation(array_column($items, 'a'), array_column($found->items, 'a')),
        );

        return $row;
    }

    /** @return list<string> */
    private function fold(): array
    {
        $terms = new Terms(Mode::Timed, array_fill(0, 500, new SittingItem()), 4 * 3600 * 1000);
        $events = [new Event(id: 'start', seq: 1, kind: EventKind::Started, at: 0)];
        foreach (range(2, 5000) as $seq) {
            $kind = [
                EventKind::Shown,
                EventKind::Answered,
                EventKind::Struck,
                EventKind::Flagged,
                EventKind::Sureness,
            ][$seq % 5];
            $value = match ($kind) {
                EventKind::Answered => ['choice' => 'abcd'[$seq % 4]],
                EventKind::Struck => ['a'],
                EventKind::Flagged => true,
                EventKind::Sureness => 'sure',
                default => null,
            };
            $events[] = new Event(
                id: "e{$seq}",
                seq: $seq,
                kind: $kind,
                at: $seq * 2000,
                madeAt: $seq * 2000 - 100,
                position: intdiv($seq, 5) % 500,
                value: $value,
            );
        }

        return Stopwatch::compare(50, fn () => Fold::of($terms, $events, 3 * 3600 * 1000), function () use (
            $events,
        ): int {
            $sum = 0;
            foreach ($events as $event) {
                $sum += $event->at;
            }

            return $sum;
        });
    }
}
