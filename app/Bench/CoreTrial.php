<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Cohort\Calibration;
use Uplandia\Core\Cohort\Model;
use Uplandia\Core\Cohort\Patterns;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\Simulator;
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

/**
 * The core, each part beside the same work written out by hand: plain loops over plain arrays, without any of what
 * makes
 * the core's answer trustworthy. Data is made before the clock starts.
 */
final class CoreTrial
{
    /** @return array<string, Closure(): Row> by what is measured */
    public function all(): array
    {
        $of = fn (string $what, Closure $measure): array => [$what => fn (): Row => $measure($what)];

        return [
            ...$of('Marking 200,000 single responses', $this->marking(...)),
            ...$of('Drawing 200 from 100,000', $this->drawing(...)),
            ...$of('Drawing 200 from 100,000, all seen before', $this->drawingSeen(...)),
            ...$of('Fold of 500 questions, 5,000 events', $this->fold(...)),
            ...$of('Mastery and outlook, 50,000 responses, 60 subtopics', $this->mastery(...)),
            ...$of('2PL on 2,000 people × 300 items', $this->calibration(...)),
        ];
    }

    private function marking(string $what): Row
    {
        $question = new Single(['a', 'b', 'c', 'd'], 'b');
        /** @var list<array<string, mixed>> $responses */
        $responses = array_map(fn (int $i): array => ['choice' => 'abcd'[$i % 4]], range(1, 200_000));

        return Stopwatch::compare(
            what: $what,
            work: function () use ($question, $responses): void {
                foreach ($responses as $response) {
                    $question->mark($response);
                }
            },
            against: 'read, look up and compare in a loop',
            byHand: function () use ($responses): array {
                $known = array_flip(['a', 'b', 'c', 'd']);
                $marks = [];
                foreach ($responses as $response) {
                    $choice = $response['choice'] ?? null;
                    $marks[] = is_string($choice) && trim($choice) !== '' && isset($known[$choice])
                        ? ['share' => $choice === 'b' ? '1' : '0', 'outcome' => $choice === 'b' ? 'right' : 'missed']
                        : null;
                }

                return $marks;
            },
            goal: 2,
        );
    }

    private function drawing(string $what): Row
    {
        $sizes = array_fill(0, 100_000, 1);
        $draw = new Draw((new Seed('bench'))->stream('draw'));
        $chance = (new Seed('bench'))->stream('by hand');

        return Stopwatch::compare(
            what: $what,
            work: fn (): array => $draw->take($sizes, [], 200),
            against: 'shuffle the pool, take 200',
            byHand: fn (): array => array_slice($chance->shuffleArray(array_keys($sizes)), 0, 200),
            goal: 1.5,
        );
    }

    private function drawingSeen(string $what): Row
    {
        $sizes = array_fill(0, 100_000, 1);
        $seen = array_map(fn (int $id): int => ($id * 7919) % 90_000, range(1, 100_000));
        $draw = new Draw((new Seed('bench'))->stream('draw'));
        $chance = (new Seed('bench'))->stream('by hand');

        return Stopwatch::compare(
            what: $what,
            work: fn (): array => $draw->take($sizes, $seen, 200),
            against: 'shuffle, sort by when they were seen, take 200',
            byHand: function () use ($chance, $seen): array {
                $places = $chance->shuffleArray(array_keys($seen));
                usort($places, fn (int $a, int $b): int => $seen[$a] <=> $seen[$b]);

                return array_slice($places, 0, 200);
            },
            goal: 1.0,
        );
    }

    private function mastery(string $what): Row
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
            what: $what,
            work: function () use ($responses, $banks): PassOutlook {
                $ability = (new AbilityEstimator())->estimate($responses, 60);

                return PassOutlook::of(
                    ability: $ability,
                    questions: array_fill(0, 60, 2),
                    needed: 78,
                    mastery: array_map(fn (int $t): Mastery => Mastery::of($ability, $t, $banks[$t]), range(0, 59)),
                );
            },
            against: 'eight steps of Fisher scoring in a loop',
            byHand: function () use ($responses): array {
                $theta = array_fill(0, 60, 0.0);
                for ($step = 0; $step < 8; $step++) {
                    $gradient = $information = array_fill(0, 60, 0.0);
                    foreach ($responses as $response) {
                        $q = 1 / (1 + exp($response->b - $theta[$response->topic]));
                        $p = $response->c + (1 - $response->c) * $q;
                        $slope = (1 - $response->c) * $q * (1 - $q);
                        $gradient[$response->topic] += $response->w * ($response->x - $p) / ($p * (1 - $p)) * $slope;
                        $information[$response->topic] += $response->w * $slope * $slope / ($p * (1 - $p));
                    }
                    foreach ($theta as $topic => $value) {
                        $theta[$topic] = $value + $gradient[$topic] / ($information[$topic] + 1);
                    }
                }

                return $theta;
            },
            goal: 1.5,
        );
    }

    private function calibration(string $what): Row
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
        $cycles = 0;

        return Stopwatch::compare(
            what: $what,
            work: function () use ($answers, &$cycles): void {
                $cycles = (new Calibration(Model::TwoParameter, 41, 1e-3))->of($answers)->iterations;
            },
            against: 'its E-steps over 41 nodes in a loop',
            byHand: function () use ($people, &$cycles): float {
                return self::expectations($people, $cycles);
            },
            goal: 3,
            runs: 1,
        );
    }

    /**
     * The likelihood of every person at every node, so many times.
     *
     * @param  list<list<float>>  $people
     */
    private static function expectations(array $people, int $times): float
    {
        $sum = 0.0;
        for ($time = 0; $time < $times; $time++) {
            for ($node = 0; $node < 41; $node++) {
                $theta = ($node - 20) / 5;
                $right = $wrong = [];
                for ($item = 0; $item < 300; $item++) {
                    $p = 1 / (1 + exp(-$theta + ($item % 5) - 2));
                    $right[] = log($p);
                    $wrong[] = log(1 - $p);
                }
                foreach ($people as $pattern) {
                    foreach ($pattern as $item => $credit) {
                        $sum += $credit * $right[$item] + (1 - $credit) * $wrong[$item];
                    }
                }
            }
        }

        return $sum;
    }

    private function fold(string $what): Row
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

        return Stopwatch::compare(
            what: $what,
            work: fn () => Fold::of($terms, $events, 3 * 3600 * 1000),
            against: 'sort, then keep the last of each mark and add up the time',
            byHand: fn (): array => self::lastMarks($events),
            goal: 3,
        );
    }

    /**
     * @param  list<Event>  $events
     * @return array<int, array<string, mixed>> by position
     */
    private static function lastMarks(array $events): array
    {
        usort($events, fn (Event $a, Event $b): int => [$a->at, $a->seq] <=> [$b->at, $b->seq]);
        $questions = [];
        $on = null;
        $since = 0;
        foreach ($events as $event) {
            if ($event->position === null) {
                continue;
            }
            $question = $questions[$event->position] ?? ['ms' => 0, 'seq' => []];
            if ($event->kind === EventKind::Shown) {
                if ($on !== null) {
                    $questions[$on]['ms'] += $event->at - $since;
                }
                [$on, $since] = [$event->position, $event->at];
                $question['seen'] = true;
            } elseif ($event->seq > ($question['seq'][$event->kind->value] ?? 0)) {
                $question['seq'][$event->kind->value] = $event->seq;
                $question[$event->kind->value] = $event->value;
            }
            $questions[$event->position] = $question;
        }

        return $questions;
    }
}
