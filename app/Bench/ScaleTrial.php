<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Facades\DB;

/**
 * Pages over the large bank, in the configuration of the real server, each in turn with a bare route that does the
 * same
 * by one hand-written statement.
 */
final class ScaleTrial
{
    private const RUNS = 15;

    private const TRIES = 3;

    private const RECIPE = ['pools' => [], 'count' => 200, 'mode' => 'timed'];

    /** What is asked of the builder, and the statement that tells about as much. */
    private const COUNTS = [
        'all' => [[], 'count'],
        'new' => [['pools' => ['new']], 'count-new'],
        'missed' => [['pools' => ['missed']], 'count-missed'],
        'new or missed' => [['pools' => ['new', 'missed']], 'count-new'],
        'hard' => [['difficulties' => ['hard']], 'count-hard'],
        'of one year' => [['tags' => ['year' => ['2020']]], 'count-year'],
    ];

    /** @return iterable<Row> */
    public function rows(): iterable
    {
        $server = new TrialServer(workers: 1);
        $server->start();
        $heavy = Visitor::signedIn(ScaleBank::person('heavy'));
        $exam = '/api/exams/'.ScaleBank::EXAM;
        $long = DB::table('sittings')->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->where('title', 'The long one')->value('sittings.id');
        foreach (self::COUNTS as $what => [$choices, $statement]) {
            yield $this->row(
                what: "Count after a change of filter: {$what}",
                visitor: $heavy,
                ask: [$server->address, 'POST', "{$exam}/count", $choices + self::RECIPE],
                statement: $statement,
                goal: 3,
                goalMs: 250,
            );
        }
        yield $this->row(
            what: 'Keyword search with hits per topic',
            visitor: $heavy,
            ask: [$server->address, 'POST', "{$exam}/count", ['words' => 'fog'] + self::RECIPE],
            statement: 'count-words',
            goal: 3,
            goalMs: 150,
        );
        yield $this->row(
            what: 'The first page to pick from',
            visitor: $heavy,
            ask: [
                $server->address, 'POST', "{$exam}/questions",
                ['choices' => ['pools' => ['new']] + self::RECIPE, 'order' => 'topic', 'page' => 1],
            ],
            statement: 'picks',
            goal: 3,
            goalMs: 150,
        );
        yield $this->row(
            what: 'Where I stand, by 50,000 answers',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/mastery", null],
            statement: 'answers',
            goal: 1,
            goalMs: 250,
        );
        yield $this->row(
            what: 'What each filter would leave',
            visitor: $heavy,
            ask: [$server->address, 'POST', "{$exam}/facets", ['pools' => ['new']] + self::RECIPE],
            statement: 'facets',
            goal: 3,
            goalMs: 250,
        );
        foreach (['draw' => ['new'], 'draw-seen' => []] as $statement => $pools) {
            yield $this->row(
                what: 'Build 200 of '.($pools === [] ? 'all' : 'new'),
                visitor: $heavy,
                ask: [$server->address, 'POST', "{$exam}/tests", ['pools' => $pools] + self::RECIPE],
                statement: $statement,
                // The statement draws from the whole bank without topics, cases or a seed.
                goal: $pools === [] ? 2 : 7,
                goalMs: 300,
            );
        }
        yield $this->row(
            what: 'Prepare an adaptive test',
            visitor: $heavy,
            ask: [$server->address, 'POST', "{$exam}/adaptive", ['most' => 60, 'timed' => false]],
            statement: 'adaptive',
            goal: 4,
            goalMs: 250,
        );
        yield $this->row(
            what: 'All tests, of 1,000 sittings',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/sittings?page=1", null],
            statement: 'tests',
            goal: 3,
            goalMs: 150,
        );
        yield $this->row(
            what: 'The gap book, 3,000 entries',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/gaps?page=1", null],
            statement: 'gaps',
            goal: 3,
            goalMs: 150,
        );
        yield $this->row(
            what: 'What is due, of 50,000 answers',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/revisits?show=due&page=1", null],
            statement: 'due',
            goal: 3,
            goalMs: 50,
        );
        yield $this->row(
            what: 'Cards by a word, 5,000',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/cards?show=all&words=fog&page=1", null],
            statement: 'cards',
            goal: 4,
            goalMs: 150,
        );
        yield $this->row(
            what: 'The library by a word, 50,000 answers',
            visitor: $heavy,
            ask: [$server->address, 'GET', "{$exam}/library?words=fog&page=1", null],
            statement: 'library',
            goal: 4,
            goalMs: 150,
        );
        $pages = [
            'Today, 50,000 answers' => ["{$exam}/today", 'today', 4, 100],
            'How far I have come, 50,000 answers' => ["{$exam}/progress", 'answers', 1, 250],
            'The plan, 50,000 answers' => ["{$exam}/plan", 'due', 5, 150],
            'Among others, 50,000 answers' => ["{$exam}/cohort", 'answers', 2, 250],
            'What is asked, by subtopic' => [$exam, 'answers', 3, 250],
            'What a word was meant for' => ["{$exam}/close-words?words=fogg+valey", 'count-new', 4, 250],
            'What can I build from' => ["{$exam}/builder", 'count-new', 3, 250],
            'Result of 500 questions' => ["/api/sittings/{$long}/result", 'result', 8, 400],
            'Review of 500 questions' => ["/api/sittings/{$long}/review", 'result', 2, 250],
            'Booklet of 500 questions' => ["/api/sittings/{$long}/booklet", 'booklet', 4, 400],
            'What came of one of 500 questions' => ["/api/sittings/{$long}/questions/250", 'result', 2, 150],
        ];
        foreach ($pages as $what => [$path, $statement, $goal, $hoped]) {
            yield $this->row(
                what: $what,
                visitor: $heavy,
                ask: [$server->address, 'GET', $path, null],
                statement: $statement,
                goal: $goal,
                goalMs: $hoped,
            );
        }
        $server->stop();
    }

    /** @param  array{string, non-empty-string, string, array<string, mixed>|null}  $ask  server, method, path, body */
    private function row(
        string $what,
        Visitor $visitor,
        array $ask,
        ?string $statement,
        float $goal,
        float $goalMs,
    ): Row {
        $bare = $statement === null ? '/bench/nothing' : "/bench/statements/{$statement}";
        // What else the machine does can make a row slower, never faster: one that fails is tried again.
        for ($try = 1; ; $try++) {
            $took = $beside = [];
            $peak = 0;
            for ($i = 0; $i < self::RUNS; $i++) {
                $beside[] = $visitor->ask($ask[0], 'GET', $bare)->ms;
                $heard = $visitor->ask(...$ask);
                $took[] = $heard->ms;
                $peak = max($peak, $heard->peak);
            }
            $row = new Row(
                what: $what,
                took: $took,
                against: $statement === null ? 'a bare signed-in route' : 'a bare route with one statement',
                beside: $beside,
                goal: $goal,
                goalMs: $goalMs,
                peak: $peak,
            );
            if ($row->held() || $try === self::TRIES) {
                return $row;
            }
        }
    }
}
