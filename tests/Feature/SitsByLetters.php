<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Sits tests by a letter a question: r(ight), m(issed), b(lank but seen); anything else is not reached. */
trait SitsByLetters
{
    /** @param  array<string, mixed>  $choices */
    protected function sit(
        string $letters,
        array $choices = [],
        int $seconds = 20,
        string $sureness = 'sure',
    ): string {
        $sitting = $this->build($choices + ['count' => strlen($letters)]);

        return $this->answerAll(sitting: $sitting, letters: $letters, seconds: $seconds, sureness: $sureness);
    }

    protected function answerAll(
        string $sitting,
        string $letters,
        int $seconds = 20,
        string $sureness = 'sure',
    ): string {
        $opened = $this->open($sitting);
        foreach (str_split($letters) as $position => $letter) {
            if (! in_array($letter, ['r', 'm', 'b'], true)) {
                continue;
            }
            $seq = 10 + 3 * $position;
            $this->send($sitting, [
                ['id' => "s{$position}", 'seq' => $seq, 'kind' => 'shown', 'position' => $position],
            ])->assertOk();
            $this->travel($seconds)->seconds();
            $this->send($sitting, $letter === 'b' ? [] : [
                $this->answer($position, $this->option($opened, $position, $letter === 'r'), $seq + 1),
                [
                    'id' => "u{$position}", 'seq' => $seq + 2, 'kind' => 'sureness', 'position' => $position,
                    'value' => $sureness,
                ],
            ])->assertJsonPath('refused', []);
        }
        $this->handIn($sitting)->assertOk();

        return $sitting;
    }
}
