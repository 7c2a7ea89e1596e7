<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;

/** Sits questions of every kind, of the exam in `kinds`. */
trait AnswersEveryKind
{
    protected function all(string $mode): string
    {
        return (string) $this->postJson('/api/exams/kinds/tests', [
            'topics' => ['a', 'b'],
            'pools' => [],
            'count' => 15,
            'mode' => $mode,
        ])
            ->assertCreated()
            ->json('sitting');
    }

    /** @return array<string, int> position by code */
    protected function positions(string $sitting): array
    {
        return DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'question_id')
            ->where('test_id', DB::table('sittings')->where('id', $sitting)->value('test_id'))
            ->pluck('position', 'code')
            ->map(fn (mixed $position): int => (int) $position)
            ->all();
    }

    /**
     * A right response, with parts by their lasting ids.
     *
     * @return array<string, mixed>
     */
    protected function response(string $code): array
    {
        $options = fn (): array => $this->parts($code);
        $choices = fn (): array => $this->parts($code, 'choices');
        $rows = fn (array $picks): array => ['rows' => array_combine($this->parts($code, 'rows'), $picks)];
        $gap = fn (int $row, int $choice): string => $this->version($code)->shown['rows'][$row]['choices'][$choice][
            'id'
        ];

        return match ($code) {
            'q-single', 'p-1', 'p-2', 's-1' => ['choice' => $options()[0]],
            's-2' => ['choice' => $options()[1]],
            'q-several' => ['choices' => [$options()[2], $options()[0]]],
            'q-grid' => $rows(['true', 'false']),
            'q-matching' => $rows([$choices()[0], $choices()[1]]),
            'q-grouping' => $rows([$choices()[0], $choices()[1], $choices()[0]]),
            'q-dropdown' => $rows([$gap(0, 0), $gap(1, 1)]),
            'q-typed' => ['gaps' => [$this->parts($code, 'gaps')[0] => ' secretword ']],
            'q-ordering' => ['order' => $this->version($code)->withheld['order']],
            'q-number' => ['text' => '4 300', 'unit' => 'm'],
            'q-picture' => ['points' => [['x' => 0.54, 'y' => 0.5]]],
            'q-written' => ['text' => 'Something.'],
        };
    }

    /**
     * Points for the rubric of the written question, by lasting id.
     *
     * @return array<string, string>
     */
    protected function points(string ...$points): array
    {
        return array_combine(array_slice($this->parts('q-written', 'rubric', 'withheld'), 0, count($points)), $points);
    }

    /** @param  list<string>  $codes */
    protected function answerRightly(string $sitting, array $codes): void
    {
        $at = $this->positions($sitting);
        usort($codes, fn (string $one, string $other): int => $at[$one] <=> $at[$other]);
        $events = [];
        foreach ($codes as $code) {
            $seq = 10 + 2 * count($events);
            $events[] = ['id' => "s-{$code}", 'seq' => $seq, 'kind' => 'shown', 'position' => $at[$code]];
            $events[] = [
                'id' => "a-{$code}",
                'seq' => $seq + 1,
                'kind' => 'answered',
                'position' => $at[$code],
                'value' => $this->response($code),
            ];
        }
        $this->send($sitting, $events)->assertOk()->assertJsonPath('refused', []);
    }
}
