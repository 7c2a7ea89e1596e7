<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Workshop\Holdings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HoldingsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, array<mixed>, list<string>}> */
    public static function entries(): iterable
    {
        $table = "Look:\n\n| km | min |\n| --- | ---: |\n| 1 | 15 |";
        yield 'nothing' => ['single', ['stem' => 'Which way?'], [], []];
        yield 'a drawing' => ['single', ['stem' => '![A map](map.svg)'], [], ['picture']];
        yield 'a photograph in an option' => [
            'single',
            ['stem' => 'Which?', 'options' => [['text' => '![A cairn](cairn.jpg)']]],
            [],
            ['picture'],
        ];
        yield 'a question about a picture' => [
            'picture',
            ['stem' => 'Where?', 'picture' => 'abc.svg'],
            [],
            ['picture'],
        ];
        yield 'a sound' => ['single', ['stem' => '![A call](call.mp3 "Three calls.")'], [], ['sound']];
        yield 'a sound that is kept' => ['single', ['stem' => '![A call](/media/9f2c.mp3 "Three.")'], [], ['sound']];
        yield 'a file of no kind we know' => ['single', ['stem' => '![A call](call.xyz)'], [], []];
        yield 'a film' => ['single', ['stem' => '![A knot](knot.webm "It is tied.")'], [], ['film']];
        yield 'a table' => ['number', ['stem' => $table], [], ['table']];
        yield 'a rule and a dash are no table' => ['single', ['stem' => "Above\n\n---\n\na -- b | c"], [], []];
        yield 'a case, its map in an exhibit' => [
            'single',
            ['stem' => 'What now?'],
            ['text' => 'Fog.', 'exhibits' => [['title' => 'Map', 'body' => '![A map](map.png)']]],
            ['picture', 'exhibits'],
        ];
        yield 'all at once' => [
            'single',
            ['stem' => "![A map](map.svg) ![A call](call.mp3) ![A knot](knot.mp4)\n\n{$table}"],
            ['exhibits' => [['title' => 'Log', 'body' => 'Rain.']]],
            ['picture', 'sound', 'film', 'table', 'exhibits'],
        ];
    }

    /**
     * @param  array<string, mixed>  $shown
     * @param  array<mixed>  $unit
     * @param  list<string>  $holds
     */
    #[DataProvider('entries')]
    public function test_it_tells_what_a_question_holds(string $kind, array $shown, array $unit, array $holds): void
    {
        $entry = [
            'code' => 'q',
            'topic' => 't',
            'kind' => $kind,
            'difficulty' => 'medium',
            'marks' => '1',
            'tags' => [],
            'unit' => null,
            'place' => 0,
            'shown' => $shown,
            'withheld' => ['rationale' => '![Why](why.svg)'],
        ];
        self::assertSame($holds, Holdings::of($entry, $unit));
    }
}
