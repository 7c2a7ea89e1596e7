<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\SyllabusTopic;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Progress\EvidenceGate;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\Response;

/** Estimates where candidates stand, from their answers and the difficulties of the bank. */
final readonly class Estimates
{
    public function __construct(private Looks $looks, private ClockInterface $clock)
    {
    }

    public function of(Candidacy $candidacy): Estimate
    {
        return $this->at(candidacy: $candidacy, now: Moment::now($this->clock));
    }

    /** @param  int  $now  Unix milliseconds: answers are as old as they were then */
    public function at(Candidacy $candidacy, int $now): Estimate
    {
        $syllabus = $candidacy->syllabus();
        $topics = $syllabus->tops();
        $places = array_flip(array_column($topics, 'id'));
        $looked = $this->looks->of(
            candidacy: $candidacy,
            places: $places,
            now: $now,
        );
        $responses = $looked->responses;
        $ability = Scale::estimator($candidacy->exam)->estimate($responses, count($topics));
        $counts = array_replace(
            array_fill(0, count($topics), 0),
            array_count_values(array_map(fn (Response $response): int => $response->topic, $responses)),
        );
        $bank = Scale::items($candidacy->exam, $syllabus);

        return new Estimate(
            topics: $topics,
            responses: array_values($counts),
            ability: $ability,
            mastery: array_map(
                fn (int $place, SyllabusTopic $topic): ?Mastery => isset($bank[$topic->id])
                    ? Mastery::of($ability, $place, $bank[$topic->id])
                    : null,
                array_keys($topics),
                $topics,
            ),
            gate: EvidenceGate::of(
                array_values($counts),
                array_map(fn (SyllabusTopic $topic): float => (float) $topic->weight, $topics),
            ),
            bestHours: BestHours::of($looked, $ability, $candidacy->enrolment()->timeZone),
            syllabus: $syllabus,
        );
    }
}
